import {
  ANY_KIND,
  type PlatePiece,
  type PlateRequest,
  type PlateSet,
  type PlatingRequest,
  weightOfSet,
} from './plate.ts'

/** What a solver of integer programmes answers; how it comes by it is not this module's business. */
export interface ProgrammeAnswer {
  isOptimal: boolean
  /** Values of the unknowns by name; those that are not named are zero. */
  values: ReadonlyMap<string, number>
}

/** Solves an integer programme written in the LP file format, within so many seconds. */
export type SolveProgramme = (programme: string, seconds: number) => ProgrammeAnswer

interface Solver {
  solve: (
    programme: string,
    options: { mip_rel_gap: number; time_limit: number },
  ) => { Status: string; Columns: Readonly<Record<string, object>> }
}

/** A loaded solver as this module asks for it: to the proven best, or to the end of its time. */
export const solveWith =
  (solver: Solver): SolveProgramme =>
  (programme, seconds) => {
    const { Status, Columns } = solver.solve(programme, { mip_rel_gap: 0, time_limit: seconds })
    const values = new Map(
      Object.entries(Columns).map(([name, column]) => [name, 'Primal' in column ? Number(column.Primal) : 0]),
    )
    return { isOptimal: Status === 'Optimal', values }
  }

/** More plates than this are not written down as a programme. */
const MAX_SETS = 20_000

/**
 * Every plate that the pieces could make within its bounds and no further than `reach` grams from the
 * target; null where there are too many to write down.
 */
export function possibleSets({ pieces, plate }: PlatingRequest, reach: number): PlateSet[] | null {
  const needs = [...plate.needs].sort((a, b) => Number(a.kind === ANY_KIND) - Number(b.kind === ANY_KIND))
  const sets: PlateSet[] = []
  const used = new Set<number>()
  const lightest = Math.min(...pieces.map((piece) => piece.weight))
  const most = Math.min(plate.high, plate.target + reach)
  const least = Math.max(plate.low, plate.target - reach)
  const go = (need: number, missing: number, from: number, weight: number, chosen: number[]): boolean => {
    if (missing === 0) {
      const next = needs[need + 1]
      if (next) return go(need + 1, next.count, 0, weight, chosen)
      if (weight >= least - 1e-9 && weight <= most + 1e-9) sets.push([...chosen])
      return sets.length <= MAX_SETS
    }
    for (let at = from; at < pieces.length; at++) {
      const piece = pieces[at] as PlatePiece
      const kind = needs[need]?.kind
      if (used.has(at) || (kind !== ANY_KIND && piece.kind !== kind)) continue
      if (weight + piece.weight + lightest * (missing - 1) > most + 1e-9) continue
      used.add(at)
      chosen.push(at)
      const isFine = go(need, missing - 1, at + 1, weight + piece.weight, chosen)
      chosen.pop()
      used.delete(at)
      if (!isFine) return false
    }
    return true
  }
  const [first] = needs
  return first && go(0, first.count, 0, 0, []) ? sets : null
}

/**
 * The programme that takes most plates, and of those the nearest to their target. Relaxed, a plate may be
 * taken in part: where the answer is whole all the same, and it mostly is, it is the best there is.
 */
function programmeOf({ pieces, plate }: PlatingRequest, sets: readonly PlateSet[], isRelaxed: boolean): string {
  // One plate more outweighs all distances that the others can have.
  const plateWorth = reachOf(plate) * pieces.length + 1
  const rows: string[][] = pieces.map(() => [])
  const terms = sets.map((set, at) => {
    for (const piece of set) rows[piece]?.push(`x${at}`)
    return `${plateWorth - Math.abs(weightOfSet(pieces, set) - plate.target)} x${at}`
  })
  const limits = rows.flatMap((row, at) => (row.length > 0 ? [` p${at}: ${row.join(' + ')} <= 1`] : []))
  return [
    'Maximize',
    ` worth: ${terms.join('\n + ')}`,
    'Subject To',
    ...limits,
    ...(isRelaxed ? [] : ['Binary', ` ${sets.map((_, at) => `x${at}`).join('\n ')}`]),
    'End',
  ].join('\n')
}

const reachOf = ({ low, target, high }: PlateRequest) => Math.max(high - target, target - low, 0)

const WHOLE = 1e-6

/** The best plates out of all that are possible; null where it is not proven in time. */
export function bestSets(
  request: PlatingRequest,
  sets: readonly PlateSet[],
  { solve, seconds }: { solve: SolveProgramme; seconds: number },
): PlateSet[] | null {
  if (sets.length === 0) return []
  const relaxed = solve(programmeOf(request, sets, true), seconds)
  const isWhole = [...relaxed.values.values()].every((value) => value < WHOLE || value > 1 - WHOLE)
  const answer = relaxed.isOptimal && isWhole ? relaxed : solve(programmeOf(request, sets, false), seconds)
  return answer.isOptimal ? sets.filter((_, at) => (answer.values.get(`x${at}`) ?? 0) > 0.5) : null
}
