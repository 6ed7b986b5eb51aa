import { appraise } from '../appraisal/index.ts'
import { buyPerPortion } from '../comparison/index.ts'
import { labourMinutes } from '../costing/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'

export interface BatchPoint {
  /** Birds, fish, loins or racks cut at once. */
  units: number
  costPerPortion: number
  buyPerPortion: number | null
}

export interface BatchCurve {
  points: BatchPoint[]
  /** The smallest batch from which on making is cheaper; null where none up to the last point is. */
  paysFrom: number | null
}

export interface BatchRequest {
  /** Place of the offer that it is compared with. */
  at: number
  /** Units of the record. */
  units: number
  /** Minutes of setting up and cleaning down, shared by the batch; the rest of the minutes goes with the units. */
  setUpMinutes: number
  /** The curve goes from one unit to so many. */
  most: number
}

/** The same fabrication with another number of units: everything goes with them but setting up and charges. */
function ofUnits(
  document: FabricationDocument,
  units: number,
  from: number,
  setUpMinutes: number,
): FabricationDocument {
  const factor = units / from
  const minutes = labourMinutes(document.labour)
  const setUp = Math.min(setUpMinutes, minutes)
  const labourFactor = minutes > 0 ? (setUp + (minutes - setUp) * factor) / minutes : 1
  const { purchase } = document
  const price =
    purchase.price.per === 'lot' ? { ...purchase.price, amount: purchase.price.amount * factor } : purchase.price
  return {
    ...document,
    purchase: {
      ...purchase,
      price,
      invoiceWeight: purchase.invoiceWeight * factor,
      ...(purchase.receivedWeight === undefined ? {} : { receivedWeight: purchase.receivedWeight * factor }),
      ...(purchase.purge === undefined ? {} : { purge: purchase.purge * factor }),
      ...(purchase.pieces === undefined ? {} : { pieces: purchase.pieces * factor }),
      ...(purchase.cases === undefined ? {} : { cases: purchase.cases * factor }),
    },
    labour: (document.labour ?? []).map((entry) => ({ ...entry, minutes: entry.minutes * labourFactor })),
    consumables: (document.consumables ?? []).map((consumable) => ({ ...consumable, cost: consumable.cost * factor })),
    piles: document.piles.map((pile) => {
      const { pieces, weight, portions, ...rest } = pile
      if (!pieces)
        return {
          ...rest,
          weight: (weight ?? 0) * factor,
          ...(portions === undefined ? {} : { portions: portions * factor }),
        }
      // Pieces stay as they are; there are more or fewer of them.
      const served = pieces.filter((piece) => pile.low === undefined || piece >= pile.low).length
      return { ...rest, weight: pieces.reduce((sum, piece) => sum + piece, 0) * factor, portions: served * factor }
    }),
  }
}

/**
 * What a portion costs when more or fewer are cut at once: setting up, cleaning down and the charges of the
 * purchase are shared by the batch. The record's own number of units is the point at which it says what
 * `appraise` says, as long as setting up takes no more than all its minutes.
 */
export function batchCurve(document: FabricationDocument, { at, units, setUpMinutes, most }: BatchRequest): BatchCurve {
  const points: BatchPoint[] = []
  const offer = document.offers?.[at]
  const { comparisons, piles } = appraise(document)
  const bought = comparisons[at]
  const portions = piles.find((pile) => pile.name === bought?.pile)?.portions ?? null
  // What a plate carries does not hang on how many are cut at once; the charges of an order are spread over more.
  const buyAt = (count: number): number | null =>
    !offer || !bought || bought.buyPerPortionSameWeight === null
      ? null
      : (bought.buyPerPortionSameWeight * buyPerPortion(offer, ((portions ?? 0) * count) / units)) /
        bought.buyPerPortion
  for (let count = 1; count <= most; count++) {
    const comparison = appraise(ofUnits(document, count, units, setUpMinutes)).comparisons[at]
    if (comparison?.costPerPortion === null || comparison?.costPerPortion === undefined) continue
    points.push({
      units: count,
      costPerPortion: comparison.costPerPortion,
      buyPerPortion: buyAt(count),
    })
  }
  const isCheaper = (point: BatchPoint) => point.buyPerPortion !== null && point.costPerPortion < point.buyPerPortion
  const dearer = points.findLastIndex((point) => !isCheaper(point))
  return { points, paysFrom: points[dearer + 1]?.units ?? null }
}
