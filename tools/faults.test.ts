import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cutFirstStart, cutMigrations } from './faults/first-start.ts'
import { runFaults } from './faults/run.ts'

/** The short form of `npm run faults`: every fault once, and a few again. */
const ROUNDS = 20
/** Other tests have the machine too: how soon it is back is measured by the long form. */
const PATIENCE_MS = 60_000

let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'fleam-faults-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

test('twenty faults while eight devices weigh lose nothing, double nothing and leave nothing half done', async () => {
  const { back, acknowledged, ...run } = await runFaults({
    ...{ rounds: ROUNDS, seed: 7, folder: join(folder, 'kitchen') },
    backMs: PATIENCE_MS,
  })
  expect(run).toEqual({ rounds: ROUNDS, lost: 0, doubled: 0, strange: 0, refusals: [], halves: [] })
  expect(acknowledged).toBeGreaterThan(ROUNDS * 9)
  expect(back).toHaveLength(ROUNDS)
}, 400_000)

test('a first start and migrations that are cut off go on', async () => {
  expect((await cutFirstStart(folder, 700)).ms).toBeGreaterThan(0)
  expect((await cutMigrations(folder, 300)).ms).toBeGreaterThan(0)
}, 200_000)
