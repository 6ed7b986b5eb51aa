/** A mixed-integer programme as it is written down piece by piece: rows hold sums of columns between bounds. */
export class Programme {
  readonly costs: number[] = []
  readonly lower: number[] = []
  readonly upper: number[] = []
  readonly isWhole: boolean[] = []
  readonly rows: { columns: number[]; factors: number[]; low: number; high: number }[] = []

  /** A column from 0 up to `upper`; its number. */
  column({ upper = Number.POSITIVE_INFINITY, isWhole = false }: { upper?: number; isWhole?: boolean } = {}): number {
    this.costs.push(0)
    this.lower.push(0)
    this.upper.push(upper)
    this.isWhole.push(isWhole)
    return this.costs.length - 1
  }

  /** A sum of columns, each with its factor, between two bounds; its number. */
  row(terms: readonly Term[], low: number, high: number): number {
    this.rows.push({ columns: terms.map(([at]) => at), factors: terms.map(([, factor]) => factor), low, high })
    return this.rows.length - 1
  }
}

export type Term = readonly [column: number, factor: number]

export interface ProgrammeOptions {
  /** At most, in seconds. */
  seconds: number
  /** What is minimised: a cost of each column. */
  costs: readonly number[]
  /** Where to begin: values of all columns; null for nowhere. */
  start?: Float64Array | null
  onProgress?: (progress: ProgrammeProgress) => void
  /** At most so many nodes of the search tree: 1 answers what the root alone tells. */
  mostNodes?: number
}

/** The best so far, the bound below which nothing lies, and how far they are apart as a share of the best. */
export interface ProgrammeProgress {
  best: number
  bound: number
  gap: number
}

export interface Solved extends ProgrammeProgress {
  /** Proven, or the best that was found in time; null values where nothing was found. */
  isProven: boolean
  values: Float64Array | null
  /** Nodes of the search tree that were looked at. */
  nodes: number
}

/** Solves a programme to its least cost; how it comes by it is not this module's business. */
export interface SolveProgramme {
  (programme: Programme, options: ProgrammeOptions): Solved
  /** Milliseconds since some moment: by this clock, and no other, searches know when their time is over. */
  nowMs: () => number
}

interface SolverModel {
  options: { set: (values: Readonly<Record<string, number | boolean | string>>) => unknown }
  info: { get: (name: string) => number | bigint }
  setSolution: (solution: { colValue: Float64Array }) => unknown
  run: (callbacks?: Readonly<Record<number, (event: ProgressEvent) => void>>) => { modelStatus: number }
  getSolution: () => { colValue: Float64Array }
  dispose: () => void
}

interface ProgressEvent {
  data: { mip_primal_bound?: number; mip_dual_bound?: number; mip_gap?: number }
}

interface Solver {
  createModel: (source: object) => SolverModel
  constants: { modelStatus: { optimal: number }; callbackType: { mipLogging: number } }
}

/** A loaded solver and a clock as the computation asks for them: it reads none of its own. */
export function solveWith(solver: object, nowMs: () => number): SolveProgramme {
  const solve = (programme: Programme, options: ProgrammeOptions): Solved => {
    const { seconds, costs, start = null, onProgress, mostNodes } = options
    const { createModel, constants } = solver as Solver
    const model = createModel.call(solver, dataOf(programme, costs))
    try {
      model.options.set({ time_limit: Math.max(0.05, seconds), mip_rel_gap: 0, mip_abs_gap: 1e-9, output_flag: false })
      if (mostNodes !== undefined) model.options.set({ mip_max_nodes: mostNodes })
      if (start) model.setSolution({ colValue: start })
      const { modelStatus } = model.run(
        onProgress
          ? {
              [constants.callbackType.mipLogging]: ({ data }) =>
                onProgress({
                  best: data.mip_primal_bound ?? Number.POSITIVE_INFINITY,
                  bound: data.mip_dual_bound ?? Number.NEGATIVE_INFINITY,
                  gap: data.mip_gap ?? Number.POSITIVE_INFINITY,
                }),
            }
          : undefined,
      )
      return answerOf(model, programme, costs, modelStatus === constants.modelStatus.optimal)
    } finally {
      model.dispose()
    }
  }
  return Object.assign(solve, { nowMs })
}

function answerOf(model: SolverModel, programme: Programme, costs: readonly number[], isProven: boolean): Solved {
  const values = model.getSolution().colValue
  // A solver that ran out of time before it found anything hands over zeros, which need not be a solution.
  const isSolution = values.length === costs.length && isFeasible(programme, values)
  const best = isSolution
    ? costs.reduce((sum, cost, at) => sum + cost * (values[at] ?? 0), 0)
    : Number.POSITIVE_INFINITY
  const told = Number(model.info.get('mip_dual_bound'))
  const bound = isProven ? best : Number.isFinite(told) ? Math.min(told, best) : Number.NEGATIVE_INFINITY
  const nodes = Math.max(0, Number(model.info.get('mip_node_count')))
  return {
    isProven: isProven && isSolution,
    values: isSolution ? values : null,
    ...{ best, bound, gap: gapOf(best, bound), nodes },
  }
}

const gapOf = (best: number, bound: number) =>
  best === bound ? 0 : Math.abs(best - bound) / Math.max(Math.abs(best), 1e-9)

/** The tolerance within which a solver keeps rows and bounds. */
const TOLERANCE = 1e-5

function isFeasible({ rows, lower, upper, isWhole }: Programme, values: Float64Array): boolean {
  const isWithin = (value: number, low: number, high: number) => {
    const room = TOLERANCE * Math.max(1, Math.abs(value))
    return value >= low - room && value <= high + room
  }
  for (let at = 0; at < values.length; at++) {
    const value = values[at] as number
    if (!isWithin(value, lower[at] as number, upper[at] as number)) return false
    if (isWhole[at] && Math.abs(value - Math.round(value)) > TOLERANCE) return false
  }
  return rows.every(({ columns, factors, low, high }) =>
    isWithin(
      columns.reduce((sum, column, at) => sum + (values[column] as number) * (factors[at] as number), 0),
      low,
      high,
    ),
  )
}

/** The rows as a solver takes them: packed, row by row. */
function dataOf({ lower, upper, isWhole, rows }: Programme, costs: readonly number[]): object {
  const starts = [0]
  for (const { columns } of rows) starts.push((starts.at(-1) as number) + columns.length)
  return {
    numCols: costs.length,
    numRows: rows.length,
    sense: 1,
    colCost: costs,
    colLower: lower,
    colUpper: upper,
    rowLower: rows.map(({ low }) => low),
    rowUpper: rows.map(({ high }) => high),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: costs.length,
      starts,
      indices: rows.flatMap(({ columns }) => columns),
      values: rows.flatMap(({ factors }) => factors),
    },
    integrality: isWhole.map(Number),
  }
}
