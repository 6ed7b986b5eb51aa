import type { Product } from '@fleam/contract/buying/schemas'
import { addDays, weekdayOf } from '@fleam/core/calendar'
import { emptyDraft, type PlanDraft } from '@fleam/core/planning'

const DAYS_OF_A_WEEK = 7

/** A plan as the demo has it: it begins on a Monday, with covers by its days, and who eats what of them. */
export interface PlanScript {
  name: string
  /** Weeks after this one in which it begins. */
  weeksAhead: number
  days: number
  /** Covers by the day of the plan, the first is 0. */
  covers: Readonly<Record<number, number>>
  /** Share of the covers by the product's name. */
  menu: Readonly<Record<string, number>>
  /** Accepted, with a schedule; what lies before today is done. */
  isAccepted: boolean
  /** Every cook is at the board for so many hours from eight on, on these days of the plan; else as in their weeks. */
  allHands?: { days: readonly number[]; hours: number }
  /** What its style takes, where it is not cut by one cook alone. */
  line?: { cooks: number; carriers: number }
}

/** Four services of a usual week, Wednesday to Saturday. */
const WEEK: PlanScript = {
  name: 'The week',
  weeksAhead: 0,
  days: 7,
  covers: { 2: 58, 3: 64, 4: 76, 5: 62 },
  menu: {
    'Chicken: supremes': 0.22,
    'Arctic char or salmon: portions': 0.2,
    'Duck: breasts': 0.16,
    'Beef tenderloin: centre steaks': 0.12,
    'Lamb rack: frenched racks': 0.05,
  },
  isAccepted: true,
}

/** 180 kg of turkey over two days: twenty birds of nine kilos. */
const FEAST: PlanScript = {
  name: 'The feast of the first snow',
  weeksAhead: 2,
  days: 4,
  covers: { 2: 180, 3: 180 },
  menu: { 'Turkey: breasts, boneless': 0.66, 'Turkey: thighs, boneless': 0.33 },
  isAccepted: true,
  allHands: { days: [1, 2, 3], hours: 8 },
  line: { cooks: 5, carriers: 2 },
}

/** The same week again, not decided yet. */
const NEXT_WEEK: PlanScript = { ...WEEK, name: 'The week after', weeksAhead: 1, isAccepted: false }

export const PLANS: readonly PlanScript[] = [WEEK, FEAST, NEXT_WEEK]

/** A plan as a chef would have said it. */
export function draftOf(
  { weeksAhead, days, covers, menu }: PlanScript,
  products: readonly Pick<Product, 'id' | 'name'>[],
  today: string,
): PlanDraft {
  const from = addDays(today, 1 - weekdayOf(today) + weeksAhead * DAYS_OF_A_WEEK)
  const idOf = (name: string) => {
    const product = products.find((pick) => pick.name === name)
    if (!product) throw new Error(`The demo kitchen has no product '${name}'`)
    return product.id
  }
  return {
    ...emptyDraft(from),
    days,
    covers: Object.entries(covers).map(([at, each]) => ({ day: addDays(from, Number(at)), covers: each })),
    menu: Object.entries(menu).map(([name, share]) => ({ productId: idOf(name), share })),
    service: 0.5,
  }
}
