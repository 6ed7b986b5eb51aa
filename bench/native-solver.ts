import { spawnSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { orderPlanModel } from '@fleam/core/planning'
import type { Programme } from '@fleam/core/solving'

/** Debian's solver of integer programmes (package coinor-cbc): native, where ours is WebAssembly. */
export const NATIVE = 'cbc'

export const isNativeThere = (): boolean => spawnSync(NATIVE, ['-quit']).error === undefined

/** What it found, and the bound below which nothing lies; the same where it is proven. */
export interface NativeAnswer {
  best: number
  bound: number
}

/** The same two steps as ours: the least shortage, and with it the least cost, each within some seconds. */
export function solveNatively(
  folder: string,
  request: Parameters<typeof orderPlanModel>[0],
  seconds: number,
): NativeAnswer {
  const { programme, shortCosts, moneyCosts, demands } = orderPlanModel(request)
  const short = nativeBest({ folder, seconds }, programme, shortCosts).best
  const terms = demands.map(({ short: column, asked }) => [column, 1 / asked] as const)
  programme.row(terms, Number.NEGATIVE_INFINITY, short + 1e-7)
  return nativeBest({ folder, seconds }, programme, moneyCosts)
}

function nativeBest(
  { folder, seconds }: { folder: string; seconds: number },
  programme: Programme,
  costs: readonly number[],
): NativeAnswer {
  const [file, answer] = [join(folder, 'plan.lp'), join(folder, 'plan.txt')]
  writeFileSync(file, lpOf(programme, costs))
  const options = ['-ratio', '0', '-sec', String(seconds), '-solve', '-solution', answer]
  const { stdout } = spawnSync(NATIVE, [file, ...options], { encoding: 'utf8' })
  const best = Number(/objective value\s+(\S+)/.exec(readFileSync(answer, 'utf8'))?.[1] ?? Number.NaN)
  // It tells a bound where it ran out of time, and none where the answer is proven.
  const lowerBound = /Lower bound:\s+(\S+)/.exec(stdout)?.[1]
  return { best, bound: lowerBound === undefined ? best : Number(lowerBound) }
}

/** A programme in the LP format. */
function lpOf({ rows, upper, isWhole }: Programme, costs: readonly number[]): string {
  const sumOf = (columns: readonly number[], factors: readonly number[]) =>
    columns
      .map((column, index) => `${(factors[index] ?? 0) < 0 ? '-' : '+'} ${Math.abs(factors[index] ?? 0)} x${column}`)
      .join('\n  ')
  const sideOf = (low: number, high: number) =>
    low === high ? `= ${low}` : high === Number.POSITIVE_INFINITY ? `>= ${low}` : `<= ${high}`
  const all = costs.map((_, index) => index)
  return [
    'Minimize',
    ` cost: ${sumOf(all, costs)}`,
    'Subject To',
    ...rows.map(
      ({ columns, factors, low, high }, index) => ` r${index}: ${sumOf(columns, factors)} ${sideOf(low, high)}`,
    ),
    'Bounds',
    ...upper.flatMap((most, index) => (most === Number.POSITIVE_INFINITY ? [] : [` 0 <= x${index} <= ${most}`])),
    'Integers',
    ...all.filter((at) => isWhole[at]).map((at) => ` x${at}`),
    'End',
    '',
  ].join('\n')
}
