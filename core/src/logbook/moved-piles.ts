import { momentsOf } from '../statistics/index.ts'
import { groupBy } from './group-by.ts'

/** The share of one pile of one record. */
export interface SharedPile {
  /** Id of the style's pile; the pile's name where it is of no style. */
  key: string
  name: string
  /** Of AP. */
  share: number
}

/** A pile whose mean share is not what it was: above zero where there is more of it now. */
export interface MovedPile {
  key: string
  name: string
  difference: number
}

/**
 * Piles of some records against those of others, what moved most first. A pile that stands on one side alone is another
 * pile and no move.
 */
export function movedPiles(now: readonly SharedPile[], usual: readonly SharedPile[]): MovedPile[] {
  const before = groupBy(usual, ({ key }) => key)
  const meanOf = (piles: readonly SharedPile[]) => momentsOf(piles.map(({ share }) => share)).mean
  return [...groupBy(now, ({ key }) => key)]
    .flatMap(([key, sharesOfPile]) => {
      const others = before.get(key)
      const name = (sharesOfPile[0] as SharedPile).name
      return others ? [{ key, name, difference: meanOf(sharesOfPile) - meanOf(others) }] : []
    })
    .sort((a, b) => Math.abs(b.difference) - Math.abs(a.difference))
}
