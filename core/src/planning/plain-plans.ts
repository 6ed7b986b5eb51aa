import type { PlanModel } from './model/index.ts'
import type { Programme, SolveMixed } from './programme.ts'

export interface PlainOptions {
  solve: SolveMixed
  /** For each of them. */
  seconds: number
}

/** A plan by the values of a model's columns, and its money. */
export interface Valued {
  values: Float64Array
  money: number
}

/**
 * The cheapest of a plan that was found and of plans that hardly need a search: all of it ready, nothing ready, and each
 * of them without what it does not use. Shortage stays as the model holds it. Used where a search ended before it was
 * proven: what is answered is never worse than these.
 */
export function cheapestPlain(model: PlanModel, found: Float64Array, options: PlainOptions): Valued {
  const { programme, cuts, ready } = model
  const within = (upper: ReadonlyMap<number, number>) => restricted(model, upper, options)
  const none = (columns: readonly number[]) => new Map(columns.map((column) => [column, 0]))
  const starts = [
    valued(model, found),
    within(none(cuts.flatMap(({ units, setUp }) => (setUp === null ? [units] : [units, setUp])))),
    within(none(ready.map(({ packs }) => packs))),
  ].filter((each) => each !== null)
  const pruned = starts.map(({ values }) => within(noMoreThan(programme, values))).filter((each) => each !== null)
  return cheapest([...starts, ...pruned])
}

const valued = ({ moneyCosts }: PlanModel, values: Float64Array): Valued => ({
  values,
  money: moneyCosts.reduce((sum, cost, at) => sum + cost * (values[at] as number), 0),
})

const cheapest = ([first, ...others]: readonly Valued[]): Valued =>
  others.reduce((best, each) => (each.money < best.money ? each : best), first as Valued)

/** No more of anything that is counted than a plan has of it: what it does not use is left out. */
const noMoreThan = ({ isWhole }: Programme, values: Float64Array) =>
  new Map(isWhole.flatMap((whole, column) => (whole ? [[column, Math.round(values[column] as number)] as const] : [])))

/** The cheapest plan that was found with some columns held below a bound; null where there is none. */
function restricted(model: PlanModel, upper: ReadonlyMap<number, number>, { solve, seconds }: PlainOptions) {
  const { programme, moneyCosts } = model
  const before = [...programme.upper]
  for (const [column, most] of upper) programme.upper[column] = Math.min(before[column] as number, most)
  try {
    const { values } = solve(programme, { seconds, costs: moneyCosts })
    return values && valued(model, values)
  } finally {
    for (const [column] of upper) programme.upper[column] = before[column] as number
  }
}
