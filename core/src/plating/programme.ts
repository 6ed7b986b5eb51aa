import { Programme, type SolveProgramme, type Term } from '../solving/index.ts'
import { ANY_KIND, type PlateSet, weightOfSet } from './plate.ts'
import type { PlatePiece, PlateRequest, PlatingRequest } from './plate-request.ts'

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
function programmeOf(
  { pieces, plate }: PlatingRequest,
  sets: readonly PlateSet[],
  isRelaxed: boolean,
): { programme: Programme; costs: number[] } {
  const programme = new Programme()
  // One plate more outweighs all distances that the others can have.
  const plateWorth = reachOf(plate) * pieces.length + 1
  const rows: Term[][] = pieces.map(() => [])
  const costs = sets.map((set) => {
    const column = programme.column({ upper: 1, isWhole: !isRelaxed })
    for (const piece of set) rows[piece]?.push([column, 1])
    return Math.abs(weightOfSet(pieces, set) - plate.target) - plateWorth
  })
  for (const row of rows) if (row.length > 0) programme.row(row, Number.NEGATIVE_INFINITY, 1)
  return { programme, costs }
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
  const solved = (isRelaxed: boolean) => {
    const { programme, costs } = programmeOf(request, sets, isRelaxed)
    const { isProven, values } = solve(programme, { seconds, costs })
    return isProven ? values : null
  }
  const relaxed = solved(true)
  const isWhole = relaxed?.every((value) => value < WHOLE || value > 1 - WHOLE) ?? false
  const values = isWhole ? relaxed : solved(false)
  return values && sets.filter((_, index) => (values[index] ?? 0) > 0.5)
}
