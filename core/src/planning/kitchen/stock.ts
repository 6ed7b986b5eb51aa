import { addDays, type Day } from '../../calendar/index.ts'
import type { GoodsComing, PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { valueIn } from './values.ts'

/** Something that is there for a plan, or on its way to it. */
export interface StockOf {
  productId: string | null
  wholeId: string | null
  quantity: number
  useBy: Day
  /** The day on which it comes; null where it is there. */
  from: Day | null
  lotId: string | null
  expectedLineId: string | null
}

type Said = Pick<PlanDraft, 'changes' | 'stock' | 'lotsLeft' | 'coming'>

/**
 * What a plan may use before it orders anything, in the order in which the solver is told of it: portions that are there,
 * lots that are not left alone, and what is on its way.
 */
export function stockOf(goods: PlanGoods, draft: Said): StockOf[] {
  const none = { productId: null, wholeId: null, from: null, lotId: null, expectedLineId: null }
  const isKnown = (id: string) => goods.products.some((product) => product.id === id)
  return [
    ...draft.stock.map(({ productId, quantity, useBy }) => ({
      ...{ ...none, productId, useBy, quantity: isKnown(productId) ? quantity : 0 },
    })),
    ...goods.stock.flatMap(({ lotId, wholeId, units, useBy }) =>
      draft.lotsLeft.includes(lotId) ? [] : [{ ...none, lotId, wholeId, quantity: units, useBy }],
    ),
    ...goods.coming.flatMap((line) => comingOf(line, goods, draft)),
  ]
}

/** When and how much of a line comes, as far as anybody knows; null where none of it does. */
export function comesAs(line: GoodsComing, { coming }: Pick<PlanDraft, 'coming'>): { day: Day; packs: number } | null {
  const answer = coming.find(({ expectedLineId }) => expectedLineId === line.expectedLineId)
  const { day, packs } = answer ?? line
  return day === null || packs <= 0 ? null : { day, packs }
}

function comingOf(line: GoodsComing, goods: PlanGoods, draft: Said): StockOf[] {
  const comes = comesAs(line, draft)
  if (!comes) return []
  const { expectedLineId, articleId, kind } = line
  const keeps = (of: 'whole' | 'product', { id, keepsDays }: PlanGoods['wholes' | 'products'][number]) =>
    addDays(comes.day, valueIn(draft, { kind: of, id, field: 'keepsDays' }, keepsDays).value - 1)
  const quantity = (line.units * comes.packs) / line.packs
  const source = { lotId: null, expectedLineId, from: comes.day }
  if (kind === 'whole') {
    const whole = goods.wholes.find(({ id }) => id === articleId)
    if (!whole) return []
    return [
      { ...source, productId: null, wholeId: whole.id, quantity: Math.floor(quantity), useBy: keeps('whole', whole) },
    ]
  }
  const ready = goods.ready.find(({ id }) => id === articleId)
  const product = goods.products.find(({ id }) => id === ready?.productId)
  if (!product) return []
  return [{ ...source, productId: product.id, wholeId: null, quantity, useBy: keeps('product', product) }]
}
