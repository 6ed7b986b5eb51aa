import { countedYield } from '../counted-yield.ts'
import type { OrderPlan } from '../order-plan.ts'
import type { GoodsProduct, PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { valueIn } from './values.ts'

/**
 * Why something is left over: it comes beside what is cut for something else, packs or birds are whole, or it was there
 * before the plan.
 */
export type WhyLeft = 'beside' | 'pack' | 'unit' | 'there'

/** Less than this of a portion or a kilo is not what is left. */
const NONE = 1e-4

/** Why a product is left over in a plan, by which of its sources gives more than it serves. */
export function whyLeft(
  product: GoodsProduct,
  plan: OrderPlan,
  { goods, draft }: { goods: PlanGoods; draft: Pick<PlanDraft, 'changes'> },
): WhyLeft[] {
  const { id, name, unit } = product
  if (unit === 'kg') return ['beside']
  const used = plan.use.filter((use) => use.product === name)
  const sumOf = (kind: 'cut' | 'ready' | 'stock') =>
    used.reduce((sum, { source, quantity }) => sum + (source.kind === kind ? quantity : 0), 0)
  const bought = goods.ready.reduce((sum, ready) => {
    if (ready.productId !== id) return sum
    const lines = plan.orders.flatMap((order) => order.lines).filter((line) => line.name === ready.name)
    const perPack = valueIn(draft, { kind: 'ready', id: ready.id, field: 'quantity' }, ready.quantity).value
    return sum + lines.reduce((packs, line) => packs + line.packs, 0) * perPack
  }, 0)
  const cut = plan.cutting.reduce((sum, { cut: cutName, units }) => {
    const way = goods.cuts.find(({ name: wayName }) => wayName === cutName)
    const given = way?.yields.find(({ productId }) => productId === id)
    if (!way || !given) return sum
    const quantity = valueIn(draft, { kind: 'yield', id: way.id, productId: id, field: 'quantity' }, given.quantity)
    return sum + units * countedYield({ ...given, product: name, quantity: quantity.value }, plan.service.asked)
  }, 0)
  const whys: WhyLeft[] = [
    ...(cut > sumOf('cut') + NONE ? [used.length > 0 ? ('unit' as const) : ('beside' as const)] : []),
    ...(bought > sumOf('ready') + NONE ? ['pack' as const] : []),
  ]
  return whys.length > 0 ? whys : ['there']
}
