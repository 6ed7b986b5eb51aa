import type { PlannedPile } from '../fabrication/index.ts'
import type { PlateRequest } from './plate-request.ts'

/** A plate of one kind takes two of it; of several kinds, one of each. */
const ALONE = 2

/**
 * What a plate would usually take of what a fabrication makes: of each pile that is weighed piece by piece and has its
 * bounds, portions and by-products alike, with the sum of their targets and bounds. Null where there is none.
 */
export function plateOfPiles(piles: readonly PlannedPile[]): PlateRequest | null {
  const portions = piles.flatMap(({ name, weighing, target, low, high }) =>
    weighing === 'pieces' && target !== null ? [{ name, target, low: low ?? target, high: high ?? target }] : [],
  )
  if (portions.length === 0) return null
  const count = portions.length === 1 ? ALONE : 1
  const sum = (key: 'low' | 'target' | 'high') => portions.reduce((all, portion) => all + portion[key] * count, 0)
  return {
    low: sum('low'),
    target: sum('target'),
    high: sum('high'),
    needs: portions.map(({ name }) => ({ kind: name, count })),
  }
}
