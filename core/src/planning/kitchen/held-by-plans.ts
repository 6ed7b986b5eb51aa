import { addDays, type Day } from '../../calendar/index.ts'
import type { OrderPlan } from '../order-plan.ts'
import type { HeldByPlans, PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { valueIn } from './values.ts'

/** An accepted plan as far as its cold goes. */
export interface PlanInTheCold {
  draft: Pick<PlanDraft, 'from' | 'changes'>
  goods: Pick<PlanGoods, 'products' | 'wholes' | 'cuts'>
  answer: Pick<OrderPlan, 'cutting' | 'use'>
}

/**
 * Kilos of a plan in the cold at the end of each day: what will be cut on a later day, from its delivery or from the first
 * day on, and what will serve on a later day, from the day it was made or came.
 */
export function kilosByDay({ draft, goods, answer }: PlanInTheCold): HeldByPlans['kilos'] {
  const kilos = new Map<Day, number>()
  const add = (from: Day, until: Day, amount: number) => {
    for (let day = from; day < until; day = addDays(day, 1)) kilos.set(day, (kilos.get(day) ?? 0) + amount)
  }
  const coldOf = (kind: 'product' | 'whole', { id, cold }: PlanGoods['products' | 'wholes'][number]) =>
    valueIn(draft, { kind, id, field: 'cold' }, cold).value
  for (const { cut, day, from } of answer.cutting) {
    const wholeId = goods.cuts.find(({ name }) => name === cut)?.wholeId
    const whole = goods.wholes.find(({ id }) => id === wholeId)
    if (!whole) continue
    for (const source of from) {
      add(source.kind === 'delivery' ? source.day : draft.from, day, source.units * coldOf('whole', whole))
    }
  }
  for (const { product: name, day, quantity, source } of answer.use) {
    const product = goods.products.find((own) => own.name === name)
    if (product) add(source.kind === 'stock' ? draft.from : source.day, day, quantity * coldOf('product', product))
  }
  return [...kilos].sort(([a], [b]) => a.localeCompare(b)).map(([day, amount]) => ({ day, kilos: amount }))
}

/** Hours of a day that accepted plans take. */
export const hoursHeld = ({ minutes }: Pick<HeldByPlans, 'minutes'>, day: Day): number =>
  minutes.reduce((sum, line) => sum + (line.day === day ? line.minutes : 0), 0) / MINUTES_PER_HOUR

/** The most kilos that accepted plans have in the cold at the end of one of some days. */
export const kilosHeld = ({ kilos }: Pick<HeldByPlans, 'kilos'>, days: readonly Day[]): number =>
  Math.max(0, ...days.map((day) => kilos.reduce((sum, line) => sum + (line.day === day ? line.kilos : 0), 0)))

const MINUTES_PER_HOUR = 60
