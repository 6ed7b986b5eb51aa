import type { Pile } from './document.ts'

/** Weight of a pile in grams: the sum of its pieces where they were weighed one by one. */
export function pileWeight(pile: Pile): number {
  if (!pile.pieces) return pile.weight ?? 0
  let sum = 0
  for (const piece of pile.pieces) sum += piece
  return sum
}

/** Share of a pile that is really used: waste never is, the others wholly unless said otherwise. */
export function usedShareOf(pile: Pick<Pile, 'class' | 'usedShare'>): number {
  return pile.class === 'waste' ? 0 : (pile.usedShare ?? 1)
}
