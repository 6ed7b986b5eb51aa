import type { ProgrammeProgress, Solved, SolveProgramme } from '../solving/index.ts'
import type { PlanModel } from './model/index.ts'
import { cheapestPlain, noneCut, restricted, sumOf, type UsualWays } from './plain-plans.ts'

/** A model solved: first the least shortage, among those the least cost. */
export interface SolvedPlan {
  /** Σ short ÷ asked, and money. */
  short: number
  /** Nothing leaves less short; where that is not known, neither is how far the cost is above the least. */
  isShortProven: boolean
  cost: Solved
  values: Float64Array
}

export interface SolveOptions {
  solve: SolveProgramme
  seconds: number
  onProgress?: ((progress: ProgrammeProgress) => void) | undefined
  /** A plan that is not proven is of no use: it is held against no other. */
  isProofNeeded?: boolean
  /** How it was done before. */
  usual?: UsualWays | null
}

/** Of the time that is left for money, the search takes so much; what is not proven then is held against plain plans. */
const SEARCH_SHARE = 0.85
/** To see what is short where all is bought ready, so much of it: that is decided by few numbers. */
const READY_SHARE = 0.1
/** Of the time that there is, the shortage takes so much at most. */
const SHORT_SHARE = 0.4
/** A shortage below this is none. */
const NO_SHORTAGE = 1e-7

/** Null where nothing keeps the rules: everything short is a plan too, so that this is no matter of the demand. */
export function solvePlan(model: PlanModel, options: SolveOptions): SolvedPlan | null {
  const { solve, seconds, onProgress, isProofNeeded = false, usual = null } = options
  const { programme, shortCosts, moneyCosts } = model
  const began = solve.nowMs()
  const { values: found, ...searched } = solve(programme, { seconds: seconds * SHORT_SHARE, costs: shortCosts })
  if (!found) return null
  const first = leastShort(model, { ...searched, values: found }, options)
  const short = first.best < NO_SHORTAGE ? 0 : first.best
  const isShortProven = short === 0 || first.isProven
  const release = holdShortage(model, short)
  try {
    const left = Math.max(seconds * (1 - SHORT_SHARE), seconds - (solve.nowMs() - began) / 1000)
    const start = first.values
    const progress = onProgress ? { onProgress } : {}
    const cost = solve(programme, { seconds: left * SEARCH_SHARE, costs: moneyCosts, start, ...progress })
    const isProven = cost.isProven && isShortProven
    // A plan that only its shortage is known of is a plan all the same.
    const values = cost.values ?? first.values
    if (isProven || isProofNeeded) return { short, isShortProven, cost: { ...cost, isProven }, values }
    const plain = cheapestPlain(model, values, { solve, seconds: left * (1 - SEARCH_SHARE), usual })
    const bound = Math.min(cost.bound, plain.money)
    const gap = (plain.money - bound) / Math.max(Math.abs(plain.money), NO_SHORTAGE)
    return { short, isShortProven, cost: { ...cost, best: plain.money, bound, gap, isProven }, values: plain.values }
  } finally {
    release()
  }
}

/** A search for the least shortage that found something. */
type Found = Omit<Solved, 'values'> & { values: Float64Array }

/** Where a search for the least shortage ended unproven: no more of it than with everything bought ready. */
function leastShort(model: PlanModel, searched: Found, { solve, seconds }: SolveOptions): Found {
  if (searched.isProven || searched.best < NO_SHORTAGE) return searched
  const values = restricted(model, noneCut(model), { solve, seconds: seconds * READY_SHARE, costs: model.shortCosts })
  if (!values) return searched
  const best = sumOf(model.shortCosts, values)
  return best < searched.best ? { ...searched, best, values } : searched
}

/** Holds the least shortage while money is minimised; answers what lets it go again, as the model may be solved anew. */
function holdShortage({ programme, demands }: PlanModel, short: number): () => void {
  if (short === 0) {
    // No shortage at all is a bound of each column: the solver does away with them.
    for (const { short: column } of demands) programme.upper[column] = 0
    return () => {
      for (const { short: column, asked } of demands) programme.upper[column] = asked
    }
  }
  const terms = demands.map(({ short: column, asked }) => [column, 1 / asked] as const)
  programme.row(terms, Number.NEGATIVE_INFINITY, short + NO_SHORTAGE * Math.max(1, short))
  return () => {
    programme.rows.pop()
  }
}
