import type { Appraisal } from '../appraisal/index.ts'
import { type Comparison, leadingComparison } from '../comparison/index.ts'
import { invoicePrice } from '../costing/index.ts'
import type { FigureRef, Quantity } from '../explanation/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'

/** A piece of a sentence: plain words, the word that counts, or a figure that opens to its formula. */
export type SentencePart =
  | { kind: 'words'; words: string }
  | { kind: 'verdict'; words: string }
  | { kind: 'figure'; of: FigureRef; value: number | null; quantity: Quantity; isKept: boolean }

const words = (text: string): SentencePart => ({ kind: 'words', words: text })
const verdictWord = (text: string): SentencePart => ({ kind: 'verdict', words: text })
const figure = (of: FigureRef, value: number | null, quantity: Quantity, isKept = false): SentencePart => ({
  kind: 'figure',
  of,
  value,
  quantity,
  isKept,
})

/**
 * The answer in one sentence with two amounts, and what turns it. `whole` is what the kitchen calls the
 * thing that is bought: bird, fish, purchase. Empty where there is nothing to cost.
 */
export function verdictSentence(document: FabricationDocument, appraisal: Appraisal, whole: string): SentencePart[] {
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  const comparison = at === null ? undefined : appraisal.comparisons[at]
  if (at === null || !comparison) return costAlone(appraisal)
  return [
    words(`Making ${comparison.pile} costs `),
    figure({ group: 'pile', pile: comparison.pile, figure: 'costPerPortion' }, comparison.costPerPortion, 'money'),
    words(' a portion, buying them ready '),
    figure({ group: 'comparison', at, figure: 'buyPerPortionSameWeight' }, comparison.buyPerPortionSameWeight, 'money'),
    words(': '),
    ...answer(document, comparison, at, whole),
  ]
}

function answer(document: FabricationDocument, comparison: Comparison, at: number, whole: string): SentencePart[] {
  const { verdict, saving } = comparison
  if (verdict === null || saving === null) return [verdictWord('no verdict yet.')]
  const amount = (isKept: boolean) =>
    figure({ group: 'comparison', at, figure: 'saving' }, Math.abs(saving), 'money', isKept)
  const turn = invoicePrice(document.purchase, comparison.breakEven.apPricePerKg)
  const turns =
    turn === null
      ? [words(`No price of the ${whole} flips it.`)]
      : [
          words(
            `Flips to ${saving > 0 ? 'buy if' : 'make if'} the ${whole} costs ${saving > 0 ? 'more' : 'less'} than `,
          ),
          turn.perKg === null
            ? figure({ group: 'comparison', at, figure: 'invoicePrice' }, turn.price.amount, 'money')
            : figure({ group: 'comparison', at, figure: 'invoicePrice' }, turn.perKg, 'money-per-kg'),
          words(turn.perKg === null ? ` a ${turn.price.per}.` : '.'),
        ]
  switch (verdict) {
    case 'even':
      return [verdictWord('even'), words(', with '), amount(false), words(' between them. '), ...turns]
    case 'make':
      return [verdictWord('make'), words(', and you keep '), amount(true), words(' on each plate. '), ...turns]
    case 'buy':
      return [verdictWord('buy'), words(', and you save '), amount(false), words(' on each plate. '), ...turns]
  }
}

/** Without an offer there is a cost, but nothing to compare it with. */
function costAlone({ piles }: Appraisal): SentencePart[] {
  const pile = piles.find((pile) => pile.class === 'primary')
  if (!pile) return []
  return [
    words(`Making ${pile.name} costs `),
    figure({ group: 'pile', pile: pile.name, figure: 'costPerPortion' }, pile.costPerPortion, 'money'),
    words(' a portion. Add an offer, and Fleam says whether buying them ready would be cheaper.'),
  ]
}
