import { rmSync, truncateSync, writeFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { styleOperations } from '@fleam/contract/style/operations'
import type { Item } from '@fleam/core/style'
import { findFreePort } from '../ports.ts'
import { until } from '../processes.ts'
import { Devices, must, openKitchen } from './devices.ts'
import { Kitchen } from './kitchen.ts'
import { Network } from './network.ts'
import { OFFICE_WORK, type Office } from './office.ts'

const DEVICES = 8
/** Whatever ended, weighing goes on within so long. */
const BACK_MS = 15_000
const START_MS = 60_000
/** How long devices weigh undisturbed between two faults. */
const CALM_MS = 250

export interface FaultRun {
  rounds: number
  acknowledged: number
  lost: number
  doubled: number
  strange: number
  refusals: string[]
  /** Work of the office that was half there after it was cut off. */
  halves: string[]
  /** Milliseconds from each fault to the next acknowledged weighing, by what the fault was. */
  back: { what: string; ms: number }[]
}

interface FaultOptions {
  rounds: number
  seed: number
  folder: string
  /** Weighing goes on within so long, or the run ends. */
  backMs?: number
  onRound?: (round: number, what: string, ms: number) => void
}

/** Numbers from 0 to 1 that are the same for the same seed. */
function random(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32
    return state / 2 ** 32
  }
}

type Fault = (kitchen: Kitchen, network: Network) => void | Promise<void>

/** How long after it was sent work of the office is cut off, at most. */
const LONGEST_WORK_MS = 900

/** What can go, each by its name. */
const FAULTS: Readonly<Record<string, Fault>> = {
  'database killed': (kitchen) => kitchen.kill('mariadbd'),
  'server killed': (kitchen) => kitchen.kill('server'),
  'server and database killed': (kitchen) => kitchen.kill('server', 'mariadbd'),
  'database killed twice': async (kitchen) => {
    kitchen.kill('mariadbd')
    await sleep(400)
    kitchen.kill('mariadbd')
  },
  'supervisor killed': (kitchen) => kitchen.killSupervisor(),
  'everything killed': async (kitchen) => {
    kitchen.kill('server', 'mariadbd')
    await kitchen.killSupervisor()
  },
  'state files emptied, database killed': (kitchen) => {
    kitchen.spoil((file) => truncateSync(file))
    kitchen.kill('mariadbd')
  },
  'state files torn, server killed': (kitchen) => {
    kitchen.spoil((file) => writeFileSync(file, '{"supervisor":'))
    kitchen.kill('server')
  },
  'state files lost, everything killed': async (kitchen) => {
    kitchen.spoil((file) => rmSync(file, { force: true }))
    kitchen.kill('server', 'mariadbd')
    await kitchen.killSupervisor()
  },
  'network cut': async (_kitchen, network) => {
    network.cut()
    await sleep(300)
    network.mend()
  },
  'answers lost': async (_kitchen, network) => {
    network.loseAnswers()
    await sleep(300)
    network.mend()
  },
  'answers lost, server killed': async (kitchen, network) => {
    network.loseAnswers()
    kitchen.kill('server')
    await sleep(300)
    network.mend()
  },
}

const KILLED_WITHIN = 'killed within '

/** A kitchen of its own for the office: what devices weigh is in another one. */
async function openOffice(url: string): Promise<Office> {
  const { kitchenId } = await openKitchen(url)
  const [item] = await must(url, styleOperations.listItems, { kitchenId })
  return { url, kitchenId, item: item as Item }
}

/** Faults, one after the other, while devices weigh; then everything is read back. */
export async function runFaults({ rounds, seed, folder, backMs = BACK_MS, onRound }: FaultOptions): Promise<FaultRun> {
  const port = await findFreePort()
  const kitchen = new Kitchen(folder, port)
  kitchen.start()
  await until(() => kitchen.isReady(), { timeoutMs: START_MS, everyMs: 100 })
  const network = await Network.open(port)
  const halves: string[] = []
  const devices = new Devices(network.url, () => openKitchen(network.url))
  const next = random(seed)
  const office = await openOffice(kitchen.url)
  const names = [...Object.keys(FAULTS), ...Object.keys(OFFICE_WORK).map((work) => `${KILLED_WITHIN}${work}`)]
  const back: FaultRun['back'] = []
  try {
    await devices.start(DEVICES)
    for (let round = 0; round < rounds; round++) {
      await sleep(CALM_MS)
      // Each in turn at first, so that a short run has them all; then in any order.
      const what = names[round < names.length ? round : Math.floor(next() * names.length)] as string
      const work = await OFFICE_WORK[what.slice(KILLED_WITHIN.length)]?.(office)
      const begun = work?.begin()
      if (work) await sleep(next() * LONGEST_WORK_MS)
      const start = performance.now()
      if (work) kitchen.kill(...(next() < 0.5 ? ['server'] : ['server', 'mariadbd']))
      else await (FAULTS[what] as Fault)(kitchen, network)
      await begun
      const before = devices.acknowledged.size
      await until(() => devices.acknowledged.size > before + DEVICES, { timeoutMs: backMs, everyMs: 10 })
      const ms = performance.now() - start
      back.push({ what, ms })
      const half = await work?.halfDone()
      if (half) halves.push(`${what}: ${half}`)
      onRound?.(round + 1, what, ms)
      await devices.turnOver()
    }
    await devices.stop()
    const { acknowledged, refusals } = devices
    return { rounds, acknowledged: acknowledged.size, refusals, halves, back, ...(await devices.check()) }
  } finally {
    void devices.stop()
    network.close()
    await kitchen.stop()
  }
}
