import type { Appraisal } from '../appraisal/index.ts'
import { type PileResult, servedPieces } from '../costing/index.ts'
import { type FabricationDocument, type Pile, usedShareOf } from '../fabrication/index.ts'
import { constant, type Expression, KILO, minus, over, plus, times, value } from './expression.ts'
import type { Explanation, PileFigureName } from './figure-ref.ts'

interface PileContext {
  document: FabricationDocument
  appraisal: Appraisal
  pile: Pile
  result: PileResult
}

/** The formula of a figure of one pile, in grams or money; null where the pile has no such figure. */
export function pileFigure(
  document: FabricationDocument,
  appraisal: Appraisal,
  name: string,
  figure: PileFigureName,
): Explanation | null {
  const at = document.piles.findIndex((pile) => pile.name === name)
  const pile = document.piles[at]
  const result = appraisal.piles[at]
  if (!pile || !result || result[figure] === null) return null
  return FIGURES[figure]({ document, appraisal, pile, result })
}

const weightOf = ({ result }: PileContext) => value(result.name, result.weight, 'weight')
const costOf = ({ result }: PileContext) => value(`cost of ${result.name}`, result.cost ?? 0, 'money')
const portionsValue = ({ result }: PileContext) => value('portions', result.portions ?? 0, 'count')
const apPrice = ({ appraisal }: PileContext) =>
  value('purchase price per kilo', appraisal.cost.apPricePerKg, 'money-per-kg')

const FIGURES: Record<PileFigureName, (context: PileContext) => Explanation> = {
  weight: (context) => ({
    title: `Weight of ${context.pile.name}`,
    quantity: 'weight',
    expression: context.pile.pieces
      ? plus(...context.pile.pieces.map((piece, index) => value(`piece ${index + 1}`, piece, 'weight')))
      : weightOf(context),
  }),
  share: (context) => ({
    title: `Share of ${context.pile.name}`,
    quantity: 'share',
    expression: over(weightOf(context), value('invoice weight', context.appraisal.weights.ap, 'weight')),
  }),
  credit: creditExplanation,
  cost: costExplanation,
  costPerKg: (context) => ({
    title: `A kilo of ${context.pile.name}`,
    quantity: 'money-per-kg',
    expression: times(over(costOf(context), weightOf(context)), KILO),
  }),
  portions: (context) => ({
    title: `Portions of ${context.pile.name}`,
    quantity: 'count',
    expression: portionsExpression(context),
    note: context.pile.pieces
      ? 'Pieces that reach the lower bound.'
      : context.pile.portions === undefined
        ? 'Weight \u00f7 target, rounded down.'
        : 'As counted.',
  }),
  costPerPortion: (context) => ({
    title: `One portion of ${context.pile.name}`,
    quantity: 'money',
    expression: over(costOf(context), portionsValue(context)),
  }),
  mean: (context) => ({
    title: `Mean piece of ${context.pile.name}`,
    quantity: 'weight',
    expression: over(weightOf(context), value('pieces', context.pile.pieces?.length ?? 0, 'count')),
  }),
  overweight: (context) => ({
    title: `Over target in ${context.pile.name}`,
    quantity: 'weight',
    expression: plus(
      ...servedPieces(context.pile)
        .filter((piece) => piece > (context.pile.target ?? 0))
        .map((piece) => minus(value('piece', piece, 'weight'), value('target', context.pile.target ?? 0, 'weight'))),
    ),
  }),
  givenAway: (context) => ({
    title: `Overweight cost of ${context.pile.name}`,
    quantity: 'money',
    expression: times(
      over(value('over target', context.result.overweight ?? 0, 'weight'), KILO),
      value('cost per kilo', context.result.costPerKg ?? 0, 'money-per-kg'),
    ),
  }),
  factorPerKg: (context) => ({
    title: `Cost factor of a kilo of ${context.pile.name}`,
    quantity: 'factor',
    expression: over(value('cost per kilo', context.result.costPerKg ?? 0, 'money-per-kg'), apPrice(context)),
  }),
  factorPerPortion: (context) => ({
    title: `Cost factor of a portion of ${context.pile.name}`,
    quantity: 'factor-per-kg',
    expression: over(value('cost per portion', context.result.costPerPortion ?? 0, 'money'), apPrice(context)),
    note: 'Times a new purchase price per kilo, it gives a quick new cost per portion.',
  }),
}

function portionsExpression(context: PileContext): Expression {
  const { pile, result } = context
  if (pile.pieces) {
    const isBounded = pile.low !== undefined && (result.below ?? 0) > 0
    const all = value('pieces', pile.pieces.length, 'count')
    return isBounded ? minus(all, value('too light', result.below ?? 0, 'count')) : all
  }
  return value(pile.portions === undefined ? `${pile.name} \u00f7 target` : 'portions', result.portions ?? 0, 'count')
}

function creditExplanation(context: PileContext): Explanation {
  const { document, pile } = context
  const policy = document.creditPolicy
  const title = `By-product credit of ${pile.name}`
  if (policy === 'none') {
    return {
      title,
      quantity: 'money',
      expression: constant(0),
      note: 'Under this policy by-products count for nothing.',
    }
  }
  const kilos = over(weightOf(context), KILO)
  const worth = value(
    pile.class === 'waste' ? 'disposal cost per kilo' : 'value per kilo',
    pile.valuePerKg ?? 0,
    'money-per-kg',
  )
  if (policy === 'book' || pile.class === 'waste') return { title, quantity: 'money', expression: times(kilos, worth) }
  const used = value('used share', usedShareOf(pile), 'share')
  if (policy === 'used') return { title, quantity: 'money', expression: times(kilos, used, worth) }
  const processing = value('processing per kilo', pile.processingPerKg ?? 0, 'money-per-kg')
  return { title, quantity: 'money', expression: times(kilos, used, minus(worth, processing)) }
}

function costExplanation(context: PileContext): Explanation {
  const { document, appraisal, pile } = context
  const rule = appraisal.cost.allocation
  const basis = (pile: Pile, result: PileResult): Expression => {
    const weight = value(pile.name, result.weight, 'weight')
    if (rule === 'weight') return weight
    if (rule === 'portion') return value(`portions of ${pile.name}`, result.portions ?? 0, 'count')
    return times(weight, value('value per kilo', pile.valuePerKg ?? 0, 'money-per-kg'))
  }
  const bases = document.piles.flatMap((pile, index) => {
    const result = appraisal.piles[index]
    return pile.class === 'primary' && result ? [basis(pile, result)] : []
  })
  const net = value('net cost', appraisal.cost.net, 'money')
  const expression = bases.length === 1 ? net : times(net, over(basis(pile, context.result), plus(...bases)))
  const notes = {
    weight: 'The net cost, spread by weight.',
    value: 'The net cost, spread by market value.',
    portion: 'The net cost, spread by portions.',
  }
  return {
    title: `Cost of ${pile.name}`,
    quantity: 'money',
    expression,
    note: bases.length === 1 ? 'The only portion pile carries the whole net cost.' : notes[rule],
  }
}
