import type { Appraisal } from '../appraisal/index.ts'
import type { CreditPolicy, FabricationDocument } from '../fabrication/index.ts'
import { comparisonFigure } from './comparison-figures.ts'
import { costFigure } from './cost-figures.ts'
import type { Expression, Quantity } from './expression.ts'
import { pileFigure } from './pile-figures.ts'
import { weightFigure } from './weight-figures.ts'

export type WeightFigureName = 'short' | 'out' | 'unaccounted' | 'portionYield' | 'utilisation' | 'drainedYield'
export type CostFigureName = 'ap' | 'apPricePerKg' | 'shortClaim' | 'labour' | 'consumables' | 'in' | 'credit' | 'net'
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
  | 'pricePerPiece'
  | 'buyPerPortion'
  | 'buyPerPortionSameWeight'
  | 'saving'
  | 'savingShare'
  | 'apPricePerKg'
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

/** The formula of a figure with this fabrication's own numbers in it; null where the figure does not apply. */
export function explain(document: FabricationDocument, appraisal: Appraisal, ref: FigureRef): Explanation | null {
  switch (ref.group) {
    case 'weights':
      return weightFigure(document, appraisal, ref.figure)
    case 'cost':
      return costFigure(document, appraisal, ref.figure)
    case 'pile':
      return pileFigure(document, appraisal, ref.pile, ref.figure)
    case 'comparison':
    case 'policy':
      return comparisonFigure(document, appraisal, ref)
  }
}
