import { type OrderPlan, type PlanDraft, type PlanGoods, planLines, plannedWork } from '../planning/index.ts'
import type { PlanItem } from './item.ts'
import type { Plan, PlannedFabrication } from './plan.ts'

/** A plan that is not accepted yet, as it would be: what it cuts waits, and what it orders is expected. */
export function asAccepted(
  { draft, goods, answer }: { draft: PlanDraft; goods: PlanGoods; answer: OrderPlan },
  { plan, items }: { plan: Pick<Plan, 'id' | 'name'>; items: readonly PlanItem[] },
): NonNullable<Plan['accepted']> {
  const lines = planLines(answer, goods, draft)
  const waiting = { planId: plan.id, plan: plan.name, cookId: null, isDropped: false, begins: null }
  const none = { fabricationId: null, real: null }
  const lineId = (articleId: string, day: string) => `${articleId} ${day}`
  const ordered = lines.orders.flatMap(({ supplierId, supplier, day, lines: list }) =>
    list.map(({ productId: _product, money: _money, ...line }) => ({
      ...{ ...line, id: lineId(line.articleId, day), planId: plan.id, plan: plan.name, supplierId, supplier, day },
      ...{ arrived: null, lots: [] },
    })),
  )
  const coming = goods.coming.map(({ expectedLineId, supplier, ...line }) => ({
    ...{
      ...line,
      id: expectedLineId,
      planId: plan.id,
      plan: plan.name,
      supplierId: '',
      supplier,
      itemId: null,
      price: 0,
    },
    ...{ arrived: null, lots: [] },
  }))
  const planned = plannedWork(lines, goods, draft).map(
    ({ delivery, expectedLineId, ...work }, index): PlannedFabrication => {
      const item = items.find(({ styles }) => styles.some(({ id }) => id === work.styleId))
      const style = item?.styles.find(({ id }) => id === work.styleId)
      return {
        ...{
          ...waiting,
          ...none,
          ...work,
          id: `${index}`,
          itemId: item?.id ?? '',
          item: item?.name ?? '',
          style: style?.name ?? '',
        },
        expectedLineId: expectedLineId ?? (delivery === null ? null : lineId(work.articleId, delivery)),
      }
    },
  )
  return { at: '', draft, goods, answer, expected: [...ordered, ...coming], planned }
}
