import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { orderPlanRequest } from '@fleam/contract'
import { orderPlanModel, type Programme, solveMixedWith, solveOrderPlan } from '@fleam/core'
import loadHighs from 'highs'
import { median, report } from './report.ts'

/** The cases that the tests of the core run too. */
const CASES = join(import.meta.dirname, '../core/cases/order-plan.json')
const ROUNDS = 3
const SECONDS = 60
/** Debian's solver of integer programmes (package coinor-cbc): native, where ours is WebAssembly. */
const NATIVE = 'cbc'

/** The order plans of the cases beside a native solver on the same programmes, and both optima. */
export async function benchPlanning(): Promise<void> {
  if (spawnSync(NATIVE, ['-quit']).error) {
    process.stdout.write(`order plans: ${NATIVE} is not installed, nothing to measure beside\n`)
    return
  }
  const solve = solveMixedWith(await loadHighs())
  const folder = mkdtempSync(join(tmpdir(), 'plans-'))
  const cases = JSON.parse(readFileSync(CASES, 'utf8')) as { name: string; input: unknown }[]
  for (const { name, input } of cases) {
    const request = orderPlanRequest.parse(input)
    const times = { ours: [] as number[], native: [] as number[] }
    let optima: [number, number] = [0, 0]
    for (let round = 0; round < ROUNDS; round++) {
      const began = performance.now()
      const solved = solveOrderPlan(orderPlanModel(request), { solve, seconds: SECONDS })
      times.ours.push(performance.now() - began)
      const again = performance.now()
      const native = solveNatively(folder, request)
      times.native.push(performance.now() - again)
      optima = [solved?.cost.best ?? Number.NaN, native]
    }
    const [ours, native] = [median(times.ours), median(times.native)]
    const [best, other] = optima
    report(
      `order plan, ${name}`,
      `${ours.toFixed(0)} ms`,
      `native ${native.toFixed(0)} ms`,
      ours / native,
      `optima ${best.toFixed(4)} and ${other.toFixed(4)}`,
    )
  }
  rmSync(folder, { recursive: true, force: true })
}

/** The same two steps: the least shortage, and with it the least cost. */
function solveNatively(folder: string, request: Parameters<typeof orderPlanModel>[0]): number {
  const { programme, shortCosts, moneyCosts, demands } = orderPlanModel(request)
  const short = nativeBest(folder, programme, shortCosts)
  const terms = demands.map(({ short: column, asked }) => [column, 1 / asked] as const)
  programme.row(terms, Number.NEGATIVE_INFINITY, short + 1e-7)
  return nativeBest(folder, programme, moneyCosts)
}

function nativeBest(folder: string, programme: Programme, costs: readonly number[]): number {
  const [file, answer] = [join(folder, 'plan.lp'), join(folder, 'plan.txt')]
  writeFileSync(file, lpOf(programme, costs))
  spawnSync(NATIVE, [file, '-ratio', '0', '-sec', String(SECONDS), '-solve', '-solution', answer])
  return Number(/objective value\s+(\S+)/.exec(readFileSync(answer, 'utf8'))?.[1] ?? Number.NaN)
}

/** A programme in the LP format. */
function lpOf({ rows, upper, isWhole }: Programme, costs: readonly number[]): string {
  const sumOf = (columns: readonly number[], factors: readonly number[]) =>
    columns
      .map((column, at) => `${(factors[at] ?? 0) < 0 ? '-' : '+'} ${Math.abs(factors[at] ?? 0)} x${column}`)
      .join('\n  ')
  const sideOf = (low: number, high: number) =>
    low === high ? `= ${low}` : high === Number.POSITIVE_INFINITY ? `>= ${low}` : `<= ${high}`
  const all = costs.map((_, at) => at)
  return [
    'Minimize',
    ` cost: ${sumOf(all, costs)}`,
    'Subject To',
    ...rows.map(({ columns, factors, low, high }, at) => ` r${at}: ${sumOf(columns, factors)} ${sideOf(low, high)}`),
    'Bounds',
    ...upper.flatMap((most, at) => (most === Number.POSITIVE_INFINITY ? [] : [` 0 <= x${at} <= ${most}`])),
    'Integers',
    ...all.filter((at) => isWhole[at]).map((at) => ` x${at}`),
    'End',
    '',
  ].join('\n')
}
