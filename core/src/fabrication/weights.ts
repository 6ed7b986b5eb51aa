import type { FabricationDocument } from './document.ts'
import type { Balance } from './kinds.ts'
import { pileWeight, usedShareOf } from './pile.ts'
import type { WeightsResult } from './weights-result.ts'

/** Limits that a kitchen may set for itself; all are shares. */
export interface Limits {
  /** More came out than went in by this share of the received weight: a mistake. */
  over: number
  /** More is missing than this share of the received weight: a pile was probably not weighed. */
  lost: number
  /** A delivery short by more than this share of the invoice is said. */
  short: number
  /** Within this share of the price either way, making and buying are even. */
  even: number
}

export const DEFAULT_LIMITS: Limits = { over: 0.005, lost: 0.03, short: 0.005, even: 0.02 }

/** `"over"`, `"lost"` or `"ok"`, from what is not accounted for against what was received (grams). */
export function balanceOf(unaccounted: number, received: number, limits: Limits): Balance {
  if (unaccounted < -limits.over * received) return 'over'
  return unaccounted > limits.lost * received ? 'lost' : 'ok'
}

/**
 * Where the weight went. `pileWeights` are the piles' grams in the document's order.
 * Yields are shares of AP (invoice weight); `drainedYield` of what was received less what was drained, before
 * (purge) or at the bench (piles of liquid), and zero where nothing is left after draining.
 */
export function weigh(
  document: FabricationDocument,
  pileWeights: readonly number[] = document.piles.map(pileWeight),
  limits: Limits = DEFAULT_LIMITS,
): WeightsResult {
  const { invoiceWeight: ap, purge = 0 } = document.purchase
  const received = document.purchase.receivedWeight ?? ap
  let out = 0
  let primary = 0
  let useful = 0
  let liquid = 0
  document.piles.forEach((pile, index) => {
    const weight = pileWeights[index] as number
    out += weight
    if (pile.class === 'primary') {
      primary += weight
      useful += weight
    } else {
      useful += weight * usedShareOf(pile)
      if (pile.kind === 'liquid') liquid += weight
    }
  })
  const unaccounted = received - purge - out
  const drained = received - purge - liquid
  return {
    ap,
    received,
    short: ap - received,
    purge,
    out,
    unaccounted,
    balance: balanceOf(unaccounted, received, limits),
    portionYield: primary / ap,
    utilisation: useful / ap,
    drainedYield: drained > 0 ? primary / drained : 0,
  }
}
