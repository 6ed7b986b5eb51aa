import type { Programme, SolveProgramme } from '../solving/index.ts'
import type { PlanModel } from './model/index.ts'

/** What was cut and bought ready before, by the names of the request: a week that was accepted. */
export interface UsualWays {
  cuts: readonly string[]
  ready: readonly string[]
}

export interface PlainOptions {
  solve: SolveProgramme
  /** For all of them. */
  seconds: number
  /** How it was done before; null where nobody knows. */
  usual: UsualWays | null
}

/** A plan by the values of a model's columns, and its money. */
export interface Valued {
  values: Float64Array
  money: number
}

/** A plain plan has at least so many seconds, also where none are left: a plan that is late is better than a foolish one. */
const LEAST_SECONDS = 0.5
/** So many times their time, and no more of them are begun. */
const LATEST = 2
/** All ready, nothing ready, as before, and two of them pruned; the products come on top. */
const OTHERS = 5

/**
 * The cheapest of a plan that was found and of plans that hardly need a search: all of it ready, nothing ready, as it was
 * done before, cut or bought product by product, and each of them without what it does not use. Shortage stays as the
 * model holds it. Used where a search ended before it was proven: what is answered is never worse than these.
 */
export function cheapestPlain(model: PlanModel, found: Float64Array, { solve, seconds, usual }: PlainOptions): Valued {
  const { programme, cuts, ready, demands } = model
  const products = [...new Set(demands.map(({ product }) => product))]
  const { moneyCosts: costs } = model
  const solving = { solve, seconds: Math.max(LEAST_SECONDS, seconds / (OTHERS + products.length)), costs }
  // On a busy machine a solver hears late that its time is over: the plans that are left are not waited for.
  const ends = solve.nowMs() + LATEST * Math.max(seconds, LEAST_SECONDS * (OTHERS + products.length)) * 1000
  const within = (upper: ReadonlyMap<number, number>): Valued | null => {
    const values = solve.nowMs() > ends ? null : restricted(model, upper, solving)
    return values && valued(model, values)
  }
  /** The cheapest with no cuts but these. */
  const withCuts = (isAllowed: (name: string) => boolean, isReadyAllowed: (name: string) => boolean = () => true) =>
    within(
      new Map([
        ...cuts.flatMap((supply) => (isAllowed(supply.cut.name) ? [] : noneOf(supply.units, supply.setUp))),
        ...ready.flatMap(({ ready: { name }, packs }) => (isReadyAllowed(name) ? [] : noneOf(packs))),
      ]),
    )
  const all = () => true
  const none = () => false
  const allReady = withCuts(none)
  const asBefore = usual && withCuts(has(usual.cuts), has(usual.ready))
  const starts = [
    valued(model, found),
    allReady,
    withCuts(all, none),
    asBefore,
    productByProduct(model, products, { withCuts, allReady }),
  ].filter((plan) => plan !== null)
  const pruned = starts.map(({ values }) => within(noMoreThan(programme, values))).filter((plan) => plan !== null)
  return cheapest([...starts, ...pruned])
}

const noneOf = (...columns: (number | null)[]) =>
  columns.flatMap((column) => (column === null ? [] : [[column, 0] as const]))

const has = (names: readonly string[]) => {
  const set = new Set(names)
  return (name: string) => set.has(name)
}

/** From all ready on, one product after the other is cut here where that is cheaper; null where nothing is possible so. */
function productByProduct(
  { cuts }: PlanModel,
  products: readonly string[],
  {
    withCuts,
    allReady,
  }: { withCuts: (isAllowed: (name: string) => boolean) => Valued | null; allReady: Valued | null },
): Valued | null {
  const waysTo = (product: string) =>
    cuts.flatMap(({ cut }) => (cut.yields.some((portion) => portion.product === product) ? [cut.name] : []))
  let allowed: string[] = []
  let best = allReady
  for (const product of products) {
    const more = [...allowed, ...waysTo(product)]
    if (more.length === allowed.length) continue
    const withAll = withCuts(has(more))
    // While nothing is possible at all, more ways can only help.
    if (best !== null && (withAll === null || withAll.money >= best.money)) continue
    allowed = more
    best = withAll
  }
  return best
}

/** What the columns come to at their costs. */
export const sumOf = (costs: readonly number[], values: Float64Array): number =>
  costs.reduce((sum, cost, column) => sum + cost * (values[column] as number), 0)

const valued = ({ moneyCosts }: PlanModel, values: Float64Array): Valued => ({
  values,
  money: sumOf(moneyCosts, values),
})

const cheapest = ([first, ...others]: readonly Valued[]): Valued =>
  others.reduce((best, other) => (other.money < best.money ? other : best), first as Valued)

/** No more of anything that is counted than a plan has of it: what it does not use is left out. */
const noMoreThan = ({ isWhole }: Programme, values: Float64Array) =>
  new Map(isWhole.flatMap((whole, column) => (whole ? [[column, Math.round(values[column] as number)] as const] : [])))

/** Bounds of a model in which nothing is cut. */
export const noneCut = ({ cuts }: Pick<PlanModel, 'cuts'>): ReadonlyMap<number, number> =>
  new Map(cuts.flatMap(({ units, setUp }) => noneOf(units, setUp)))

/** The best values that were found with some columns held below a bound; null where there are none. */
export function restricted(
  { programme }: Pick<PlanModel, 'programme'>,
  upper: ReadonlyMap<number, number>,
  { solve, seconds, costs }: Pick<PlainOptions, 'solve' | 'seconds'> & { costs: readonly number[] },
): Float64Array | null {
  const before = [...programme.upper]
  for (const [column, most] of upper) programme.upper[column] = Math.min(before[column] as number, most)
  try {
    return solve(programme, { seconds, costs }).values
  } finally {
    for (const [column] of upper) programme.upper[column] = before[column] as number
  }
}
