import { type ChildProcess, spawn } from 'node:child_process'
import { rmSync, truncateSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { findFreePort } from '../ports.ts'
import { until } from '../processes.ts'
import { runningOn, stopRunning } from '../running.ts'
import { Devices, openKitchen } from './devices.ts'
import { Network } from './network.ts'

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
  /** Milliseconds from each fault to the next acknowledged weighing, by what the fault was. */
  back: { what: string; ms: number }[]
}

interface FaultOptions {
  rounds: number
  seed: number
  folder: string
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

/** Fleam as a kitchen runs it, with its supervisor as a process of its own. */
class Kitchen {
  readonly #folder: string
  readonly #port: number
  #supervisor: ChildProcess | null = null

  constructor(folder: string, port: number) {
    this.#folder = folder
    this.#port = port
  }

  start(): void {
    this.#supervisor = spawn(resolve('fleam'), ['start'], {
      env: { ...process.env, FLEAM_PORT: String(this.#port), FLEAM_DATA_DIR: this.#folder },
      stdio: 'ignore',
    })
  }

  /** Ends also what is only starting, which would go on when the rest has stopped. */
  async stop(): Promise<void> {
    if (this.#supervisor?.pid) end(this.#supervisor.pid)
    await stopRunning(this.#folder)
  }

  kill(...names: string[]): void {
    for (const { name, pid } of runningOn(this.#folder).programs) if (names.includes(name)) end(pid)
  }

  /** The supervisor goes, as with the session that it was started in; whoever runs the kitchen starts it again. */
  async killSupervisor(): Promise<void> {
    const { supervisor } = runningOn(this.#folder)
    if (supervisor !== null) end(supervisor)
    if (this.#supervisor?.pid) end(this.#supervisor.pid)
    await sleep(50)
    this.start()
  }

  spoil(change: (file: string) => void): void {
    for (const file of [join(this.#folder, 'running.json'), join(this.#folder, 'database', 'secret.json')]) change(file)
  }
}

function end(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL')
  } catch {
    // It has ended by itself meanwhile.
  }
}

type Fault = (kitchen: Kitchen, network: Network) => void | Promise<void>

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

/** Faults, one after the other, while devices weigh; then everything is read back. */
export async function runFaults({ rounds, seed, folder, onRound }: FaultOptions): Promise<FaultRun> {
  const port = await findFreePort()
  const kitchen = new Kitchen(folder, port)
  kitchen.start()
  await until(() => answers(`http://127.0.0.1:${port}`), { timeoutMs: START_MS, everyMs: 100 })
  const network = await Network.open(port)
  const devices = new Devices(network.url, () => openKitchen(network.url))
  const next = random(seed)
  const names = Object.keys(FAULTS)
  const back: FaultRun['back'] = []
  try {
    await devices.start(DEVICES)
    for (let round = 0; round < rounds; round++) {
      await sleep(CALM_MS)
      // Each in turn at first, so that a short run has them all; then in any order.
      const what = names[round < names.length ? round : Math.floor(next() * names.length)] as string
      const start = performance.now()
      await (FAULTS[what] as Fault)(kitchen, network)
      const before = devices.acknowledged.size
      await until(() => devices.acknowledged.size > before + DEVICES, { timeoutMs: BACK_MS, everyMs: 10 })
      const ms = performance.now() - start
      back.push({ what, ms })
      onRound?.(round + 1, what, ms)
      await devices.turnOver()
    }
    await devices.stop()
    const { acknowledged, refusals } = devices
    return { rounds, acknowledged: acknowledged.size, refusals, back, ...(await devices.check()) }
  } finally {
    void devices.stop()
    network.close()
    await kitchen.stop()
  }
}

const answers = (url: string) =>
  fetch(`${url}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  )
