import { mkdtempSync, rmSync, truncateSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { House } from './house.ts'
import { findFreePort } from './ports.ts'
import { until } from './processes.ts'
import { runningOn } from './running.ts'

/** It must be back within so long, whatever ended. */
const BACK_MS = 15_000

let folder: string
let house: House

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fleam-back-'))
  house = new House({ port: await findFreePort(), dataFolder: folder, isDemo: false, databaseUrl: null, scale: null })
  await house.start()
}, 120_000)
afterAll(async () => {
  await house.stop()
  rmSync(folder, { recursive: true, force: true })
}, 60_000)

function kill(...names: string[]): void {
  for (const { name, pid } of runningOn(folder).programs) if (names.includes(name)) process.kill(pid, 'SIGKILL')
}
const isBack = () =>
  fetch(`${house.url}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  )
const comesBack = async () => {
  // What was killed is gone first.
  await until(async () => !(await isBack()), { timeoutMs: BACK_MS, everyMs: 5 }).catch(() => {})
  await until(isBack, { timeoutMs: BACK_MS, everyMs: 50 })
}
const states = () => [join(folder, 'running.json'), join(folder, 'database', 'secret.json')]

test.each<[string, () => void | Promise<void>]>([
  ['the database is killed', () => kill('mariadbd')],
  [
    'the database is killed, and again as it comes up',
    async () => {
      kill('mariadbd')
      await until(() => runningOn(folder).programs.some(({ name }) => name === 'mariadbd'), {
        timeoutMs: BACK_MS,
        everyMs: 10,
      })
      await sleep(50)
      kill('mariadbd')
    },
  ],
  ['the server is killed', () => kill('server')],
  ['both are killed', () => kill('mariadbd', 'server')],
  [
    'state files are emptied and the database is killed',
    () => {
      for (const file of states()) truncateSync(file)
      kill('mariadbd')
    },
  ],
  [
    'state files are lost and both are killed',
    () => {
      for (const file of states()) rmSync(file, { force: true })
      kill('server', 'mariadbd')
    },
  ],
])(
  'it comes back by itself when %s',
  async (_what, fault) => {
    await fault()
    await comesBack()
  },
  60_000,
)
