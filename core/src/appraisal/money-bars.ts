import { handlingPerPiece, servedOfBought } from '../comparison/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import type { Appraisal } from './appraisal.ts'

export type MoneyPartName = 'product' | 'labour' | 'bags' | 'by-products' | 'price' | 'handling' | 'rejects'

export interface MoneyPart {
  name: MoneyPartName
  /** Money of one portion; what by-product credit is negative. */
  amount: number
}

export interface MoneyBars {
  make: { parts: MoneyPart[]; total: number }
  buy: { parts: MoneyPart[]; total: number }
}

/**
 * Where each euro of a portion goes, made and bought at the same weight. The parts add up to what is
 * compared. Null where the comparison has no cost or no price.
 */
export function moneyBars(document: FabricationDocument, appraisal: Appraisal, at: number): MoneyBars | null {
  const comparison = appraisal.comparisons[at]
  const offer = document.offers?.[at]
  const pile = document.piles.find((pile) => pile.name === offer?.pile)
  if (!comparison || !offer || !pile) return null
  const { costPerPortion, buyPerPortionSameWeight, plateWeight } = comparison
  if (costPerPortion === null || buyPerPortionSameWeight === null || plateWeight === null || appraisal.cost.net === 0)
    return null
  const { cost } = appraisal
  const makeCost = costPerPortion / cost.net
  const scale = plateWeight / servedOfBought(offer, pile.target)
  const price = comparison.pricePerPiece * scale
  const handling = handlingPerPiece(offer) * scale
  return {
    make: {
      total: costPerPortion,
      parts: [
        { name: 'product', amount: cost.ap * makeCost },
        { name: 'labour', amount: cost.labour * makeCost },
        { name: 'bags', amount: cost.consumables * makeCost },
        { name: 'by-products', amount: -cost.credit * makeCost },
      ],
    },
    buy: {
      total: buyPerPortionSameWeight,
      parts: [
        { name: 'price', amount: price },
        { name: 'handling', amount: handling },
        { name: 'rejects', amount: buyPerPortionSameWeight - price - handling },
      ],
    },
  }
}
