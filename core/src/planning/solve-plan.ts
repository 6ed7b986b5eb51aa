import type { PlanModel } from './model/index.ts'
import type { ProgrammeProgress, Solved, SolveMixed } from './programme.ts'

/** A model solved: first the least shortage, among those the least cost. */
export interface SolvedPlan {
  /** Σ short ÷ asked, and money. */
  short: number
  cost: Solved
  values: Float64Array
}

export interface SolveOptions {
  solve: SolveMixed
  seconds: number
  onProgress?: ((progress: ProgrammeProgress) => void) | undefined
}

/** Of the time that there is, the shortage takes so much at most. */
const SHORT_SHARE = 0.4
/** A shortage below this is none. */
const NO_SHORTAGE = 1e-7

/** Null where nothing keeps the rules: everything short is a plan too, so that this is no matter of the demand. */
export function solvePlan(model: PlanModel, { solve, seconds, onProgress }: SolveOptions): SolvedPlan | null {
  const { programme, shortCosts, moneyCosts } = model
  const began = Date.now()
  const first = solve(programme, { seconds: seconds * SHORT_SHARE, costs: shortCosts })
  if (!first.values) return null
  const short = first.best < NO_SHORTAGE ? 0 : first.best
  const release = holdShortage(model, short)
  try {
    const left = Math.max(seconds * (1 - SHORT_SHARE), seconds - (Date.now() - began) / 1000)
    const start = first.values
    const cost = solve(programme, { seconds: left, costs: moneyCosts, start, ...(onProgress ? { onProgress } : {}) })
    // A plan that only its shortage is known of is a plan all the same.
    const values = cost.values ?? first.values
    return { short, cost: { ...cost, isProven: cost.isProven && first.isProven }, values }
  } finally {
    release()
  }
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
