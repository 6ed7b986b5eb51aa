import { type Amounts, pricedUnits } from '../costing/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'
import type { Quote } from './buying-form.ts'

const isPack = (quote: Quote) => quote.price.per === 'case' || quote.price.per === 'lot'

/** Grams of one piece: as said, or the pack's over its pieces; null where neither is known. */
export function pieceWeightOf(quote: Quote): number | null {
  if (quote.pieceWeight !== null) return quote.pieceWeight
  return quote.packWeight !== null && quote.packPieces ? quote.packWeight / quote.packPieces : null
}

/** What a kilo costs as quoted, without delivery; null where the quote does not say how large a piece or a pack is. */
export function quotedPerKg(quote: Quote): number | null {
  const { amount, per } = quote.price
  if (per === 'kg') return amount
  if (per === 'lb') return (amount * GRAMS_PER_KILOGRAM) / GRAMS_PER_POUND
  const piece = pieceWeightOf(quote)
  const grams = per === 'piece' ? piece : (quote.packWeight ?? (piece ?? 0) * (quote.packPieces ?? 0))
  return grams === null || grams <= 0 ? null : (amount * GRAMS_PER_KILOGRAM) / grams
}

/** Whole pieces of a case or lot: as said, or its weight over a piece's; null where neither is known. */
export function piecesInPack(quote: Quote, pieceWeight: number): number | null {
  if (quote.packPieces !== null) return quote.packPieces
  return quote.packWeight !== null && pieceWeight > 0 ? Math.max(1, Math.round(quote.packWeight / pieceWeight)) : null
}

export interface Order {
  pieces: number
  /** Cases or lots; null where it is not sold in packs. */
  packs: number | null
  /** Grams in all. */
  weight: number
  /** Money for the goods, without delivery. */
  goods: number
  /** The order had to be larger than was wanted, to fill packs or to reach the least order. */
  isRaised: boolean
}

/**
 * The smallest order of at least `wanted` pieces: whole pieces, whole packs, and no less than the
 * minimum order. Null where the quote does not say how large a piece or a pack is.
 */
export function orderFor(quote: Quote, wanted: number, usualPieceWeight: number | null = null): Order | null {
  const pieceWeight = pieceWeightOf(quote) ?? usualPieceWeight
  if (pieceWeight === null || pieceWeight <= 0) return null
  const perPack = isPack(quote) ? piecesInPack(quote, pieceWeight) : null
  if (isPack(quote) && (perPack === null || perPack <= 0)) return null
  const amounts = (pieces: number, packs: number | null) => ({
    pieces,
    packs: packs ?? 0,
    weight: packs !== null && quote.packWeight !== null ? packs * quote.packWeight : pieces * pieceWeight,
  })
  const goodsOf = (all: Amounts) => quote.price.amount * pricedUnits(quote.price.per, all)
  const portionPrice = perPack === null ? goodsOf(amounts(1, null)) : goodsOf(amounts(perPack, 1)) / perPack
  const least = quote.minimumOrder !== null && portionPrice > 0 ? quote.minimumOrder / portionPrice : 0
  const needed = Math.max(1, Math.ceil(wanted - TOLERANCE), Math.ceil(least - TOLERANCE))
  const packs = perPack === null ? null : Math.ceil(needed / perPack - TOLERANCE)
  const ordered = amounts(packs === null || perPack === null ? needed : packs * perPack, packs)
  return { ...ordered, packs, goods: goodsOf(ordered), isRaised: ordered.pieces > wanted + 1 - TOLERANCE }
}

/** A quotient this close to a whole number is that number. */
const TOLERANCE = 1e-9
