import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type FaultRun, runFaults } from './run.ts'

/** One line for each kind of fault: how often, and how long until weighing went on. */
function wordsOf({ back, ...run }: FaultRun): string {
  const kinds = [...new Set(back.map(({ what }) => what))].map((what) => {
    const times = back.filter((each) => each.what === what).map(({ ms }) => ms)
    const sorted = [...times].sort((a, b) => a - b)
    const seconds = (ms: number | undefined) => `${((ms ?? 0) / 1000).toFixed(1)} s`
    const middle = sorted[Math.floor(sorted.length / 2)]
    return `${what.padEnd(40)} ${String(times.length).padStart(3)} x   back after ${seconds(middle)}, at most ${seconds(sorted.at(-1))}`
  })
  return [
    ...kinds,
    `${run.rounds} rounds, ${run.acknowledged} weighings acknowledged: ${run.lost} lost, ${run.doubled} doubled, ${run.strange} that nobody sent, ${run.refusals.length} refused`,
    ...run.refusals.slice(0, 5),
  ].join('\n')
}

const folder = mkdtempSync(join(tmpdir(), 'fleam-faults-'))
const run = await runFaults({
  rounds: Number(process.env.FLEAM_FAULT_ROUNDS ?? 200),
  seed: Number(process.env.FLEAM_FAULT_SEED ?? 7),
  folder,
  onRound: (round, what, ms) => process.stdout.write(`${round}  ${what}: back after ${(ms / 1000).toFixed(1)} s\n`),
})
rmSync(folder, { recursive: true, force: true })
process.stdout.write(`\n${wordsOf(run)}\n`)
process.exit(run.lost + run.doubled + run.strange + run.refusals.length === 0 ? 0 : 1)
