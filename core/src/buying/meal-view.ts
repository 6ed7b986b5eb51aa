import { type Appraisal, appraise } from '../appraisal/index.ts'
import { addMonths, type Day } from '../calendar/index.ts'
import { earliest, lastDay } from '../cold-store/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import type { Keeping, WholeForm } from './buying-form.ts'
import { keptDays } from './form.ts'
import { documentOfOrder, type Terms } from './form-document.ts'
import { type Order, orderFor } from './quote.ts'

/** What one part becomes: so many grams a serving, and how it keeps. */
export interface MealUse {
  pile: string
  /** Grams of the raw part in one serving, above zero; null for a part that nobody eats. */
  serving: number | null
  keeping: Keeping
}

export interface MealRequest extends Terms {
  units: number
  uses: readonly MealUse[]
  /** Day on which it is cut, `2026-11-24`. */
  day: Day
  /** The supplier's use-by; the earlier of the two counts. Null where there is none. */
  useBy: Day | null
}

export interface MealPart {
  pile: string
  weight: number
  servings: number
  costPerServing: number | null
  /** Until when it must be eaten, chilled. */
  eatBy: Day
  /** Until when it is good, frozen on the day; null where it is not frozen. */
  frozenUntil: Day | null
}

export interface MealView {
  document: FabricationDocument
  appraisal: Appraisal
  order: Order
  /** Money that leaves today. */
  outlay: number
  servings: number
  /** Everything spent, labour in, over all servings; null where nothing is eaten. */
  costPerServing: number | null
  parts: MealPart[]
}

/**
 * One big purchase as meals: what it costs today, how many servings it gives by use, and until when each
 * must be eaten. Every part that is eaten carries its share of the cost by value. Null where the quote does
 * not say how much one buys.
 */
export function mealView(form: WholeForm, request: MealRequest): MealView | null {
  const order = orderFor(form.quote, request.units, form.unitWeight)
  if (!order) return null
  const plain = documentOfOrder(form, order, request)
  const servingOf = (pile: string) => request.uses.find((use) => use.pile === pile)?.serving ?? null
  const piles = plain.piles.map((pile) => {
    const serving = servingOf(pile.name)
    if (serving === null) return { ...pile, class: pile.class === 'primary' ? ('by-product' as const) : pile.class }
    const weight = pile.weight ?? 0
    return { ...pile, class: 'primary' as const, portions: Math.floor(weight / serving + 1e-9), target: serving }
  })
  const document: FabricationDocument = { ...plain, piles }
  const appraisal = appraise(document)
  const parts = appraisal.piles.flatMap((pile) => {
    const use = request.uses.find((mealUse) => mealUse.pile === pile.name && mealUse.serving !== null)
    if (!use || pile.class !== 'primary') return []
    return [
      {
        pile: pile.name,
        weight: pile.weight,
        servings: pile.portions ?? 0,
        costPerServing: pile.costPerPortion,
        ...keptUntil(use.keeping, request.day, request.useBy),
      },
    ]
  })
  const servings = parts.reduce((sum, part) => sum + part.servings, 0)
  return {
    document,
    appraisal,
    order,
    outlay: appraisal.cost.ap,
    servings,
    costPerServing: servings > 0 ? appraisal.cost.net / servings : null,
    parts,
  }
}

/** Until when something keeps: the day of opening is day 1, and nothing keeps past the supplier's use-by. */
export function keptUntil(keeping: Keeping, opened: Day, useBy: Day | null) {
  const start = useBy === null ? opened : earliest(opened, useBy)
  const { last } = lastDay({
    made: opened,
    days: keptDays(keeping),
    lots: useBy === null ? [] : [useBy],
    months: keeping.frozenMonths,
    openedDays: keptDays(keeping),
  })
  return {
    eatBy: last ?? start,
    frozenUntil: keeping.frozenMonths === null ? null : addMonths(start, keeping.frozenMonths),
  }
}
