import type { SolveProgramme } from '../solving/index.ts'
import { ANY_KIND, type PlateSet, platingOf } from './plate.ts'
import { platePieces } from './plate-pieces.ts'
import type { PlatePiece, PlateRequest, Plating } from './plate-request.ts'
import { bestSets, possibleSets } from './programme.ts'

const SOLVER_SECONDS = 10

/**
 * Plates of any pieces where a plate may take one of several counts: most plates within the bounds, then
 * the nearest to the target. Exact while the possible plates can be written down and solved in time; else
 * the best of the single counts, with its own gap.
 */
export function bestPlates(
  pieces: readonly PlatePiece[],
  { low, target, high }: Pick<PlateRequest, 'low' | 'target' | 'high'>,
  counts: readonly number[],
  solve: SolveProgramme,
): Plating {
  const requestOf = (count: number) => ({ pieces, plate: { low, target, high, needs: [{ kind: ANY_KIND, count }] } })
  if (counts.length > 1) {
    const sets: PlateSet[] = []
    const isAll = counts.every((count) => {
      const possible = possibleSets(requestOf(count), Number.POSITIVE_INFINITY)
      if (possible) sets.push(...possible)
      return possible !== null
    })
    const request = requestOf(1)
    const best = isAll ? bestSets(request, sets, { solve, seconds: SOLVER_SECONDS }) : null
    if (best) return platingOf(request, best, 0)
  }
  const [first, ...others] = counts.map((count) => platePieces(requestOf(count), solve)) as [Plating, ...Plating[]]
  return others.reduce((best, other) => (other.plates.length > best.plates.length ? other : best), first)
}
