import type { Appraisal } from '../appraisal/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { comparisonFigure } from './comparison-figures.ts'
import { costFigure } from './cost-figures.ts'
import type { Explanation, FigureRef } from './figure-ref.ts'
import { pileFigure } from './pile-figures.ts'
import { weightFigure } from './weight-figures.ts'

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
