import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cutFirstStart, cutMigrations } from './first-start.ts'
import { type FaultRun, runFaults } from './run.ts'

/** One line for each kind of fault: how often, and how long until weighing went on. */
function wordsOf({ back, ...run }: FaultRun): string {
  const kinds = [...new Set(back.map(({ what }) => what))].map((what) => {
    const times = back.filter((round) => round.what === what).map(({ ms }) => ms)
    const sorted = [...times].sort((a, b) => a - b)
    const seconds = (ms: number | undefined) => `${((ms ?? 0) / 1000).toFixed(1)} s`
    const middle = sorted[Math.floor(sorted.length / 2)]
    return `${what.padEnd(40)} ${String(times.length).padStart(3)} x   back after ${seconds(middle)}, at most ${seconds(sorted.at(-1))}`
  })
  return [
    ...kinds,
    `${run.rounds} rounds, ${run.acknowledged} weighings acknowledged: ${run.lost} lost, ${run.doubled} doubled, ${run.strange} that nobody sent, ${run.refusals.length} refused`,
    ...run.refusals.slice(0, 5),
    ...run.halves,
  ].join('\n')
}

/** Moments of a start at which it is cut off, milliseconds: from the first of an empty folder to where it answers. */
const MOMENTS = [50, 150, 250, 400, 600, 900, 1_200, 1_800, 2_500, 3_500, 5_000]

const folder = mkdtempSync(join(tmpdir(), 'fleam-faults-'))
for (const cut of [cutFirstStart, cutMigrations]) {
  for (const moment of MOMENTS) {
    const { what, ms } = await cut(folder, moment)
    process.stdout.write(`${what}: ready after ${(ms / 1000).toFixed(1)} s\n`)
  }
}
const run = await runFaults({
  rounds: Number(process.env.FLEAM_FAULT_ROUNDS ?? 200),
  seed: Number(process.env.FLEAM_FAULT_SEED ?? 7),
  folder: join(folder, 'kitchen'),
  onRound: (round, what, ms) => process.stdout.write(`${round}  ${what}: back after ${(ms / 1000).toFixed(1)} s\n`),
})
rmSync(folder, { recursive: true, force: true })
process.stdout.write(`\n${wordsOf(run)}\n`)
process.exit(run.lost + run.doubled + run.strange + run.refusals.length + run.halves.length === 0 ? 0 : 1)
