import type { CreditPolicy } from '../fabrication/index.ts'
import type { Expression, Quantity } from './expression.ts'

export type WeightFigureName = 'short' | 'out' | 'unaccounted' | 'portionYield' | 'utilisation' | 'drainedYield'
export type CostFigureName =
  | 'ap'
  | 'apPricePerKg'
  | 'invoicePrice'
  | 'shortClaim'
  | 'labour'
  | 'consumables'
  | 'in'
  | 'credit'
  | 'net'
export type PileFigureName =
  | 'weight'
  | 'share'
  | 'credit'
  | 'cost'
  | 'costPerKg'
  | 'portions'
  | 'costPerPortion'
  | 'mean'
  | 'overweight'
  | 'givenAway'
  | 'factorPerKg'
  | 'factorPerPortion'
export type ComparisonFigureName =
  | 'plateWeight'
  | 'plateYieldNow'
  | 'pricePerPiece'
  | 'buyPerPortion'
  | 'buyPerPortionSameWeight'
  | 'saving'
  | 'savingShare'
  | 'invoicePrice'
  | 'offerAmount'
  | 'breakEvenPortions'
  | 'pileYield'
  | 'labourMinutes'
  | 'creditMultiple'

/** Which figure of an appraisal is meant. */
export type FigureRef =
  | { group: 'weights'; figure: WeightFigureName }
  | { group: 'cost'; figure: CostFigureName }
  | { group: 'pile'; pile: string; figure: PileFigureName }
  | { group: 'comparison'; at: number; figure: ComparisonFigureName }
  | { group: 'policy'; at: number; policy: CreditPolicy }

export interface Explanation {
  title: string
  quantity: Quantity
  /** Works out to the figure itself. */
  expression: Expression
  /** One sentence on what the figure means or leaves out. */
  note?: string | undefined
}
