import { addDays, type Day } from '../calendar/index.ts'
import { type Explanation, over, plus, value } from '../explanation/index.ts'
import type { MealPart, MealView } from './meal-view.ts'

/** Dinners that one part makes for a table, and when they are eaten. */
export interface DinnersOfPart {
  pile: string
  /** Dinners that are eaten fresh, one a day, before the part must be eaten. */
  fresh: number
  /** Dinners that go into the freezer. */
  frozen: number
  /** Dinners that can neither be eaten in time nor frozen: too much was bought. */
  tooMany: number
  /** Servings that make no whole dinner; zero and up to, but not, `eaters`. */
  servingsOver: number
}

/**
 * The parts of one purchase as dinners of `eaters` people: one dinner is eaten each day from the day it is cut, what
 * must be eaten first at first; the rest is frozen where it can be.
 */
export function dinnersOf(parts: readonly MealPart[], eaters: number, day: Day): DinnersOfPart[] {
  const left = new Map(parts.map((part) => [part, Math.floor(part.servings / eaters)]))
  const fresh = new Map<MealPart, number>()
  const lastDay = [day, ...parts.map(({ eatBy }) => eatBy)].sort().at(-1) as Day
  for (let today = day; today <= lastDay; today = addDays(today, 1)) {
    const next = parts
      .filter((part) => (left.get(part) ?? 0) > 0 && part.eatBy >= today)
      .sort((a, b) => a.eatBy.localeCompare(b.eatBy))[0]
    if (!next) continue
    left.set(next, (left.get(next) ?? 0) - 1)
    fresh.set(next, (fresh.get(next) ?? 0) + 1)
  }
  return parts.map((part) => {
    const rest = left.get(part) ?? 0
    const isFrozen = part.frozenUntil !== null
    return {
      pile: part.pile,
      fresh: fresh.get(part) ?? 0,
      frozen: isFrozen ? rest : 0,
      tooMany: isFrozen ? 0 : rest,
      servingsOver: part.servings % eaters,
    }
  })
}

/** The formula of the servings of a purchase, of what one of them costs, or of the dinners they make. */
export function explainMeals(
  view: MealView,
  dinners: readonly DinnersOfPart[],
  figure: 'servings' | 'costPerServing' | 'dinners',
): Explanation {
  const servings = plus(...view.parts.map((part) => value(part.pile, part.servings, 'count')))
  if (figure === 'servings') return { title: 'Servings', quantity: 'count', expression: servings }
  if (figure === 'costPerServing') {
    const net = value('purchase, work, bags, less credit', view.appraisal.cost.net, 'money')
    return { title: 'Cost of a serving', quantity: 'money', expression: over(net, servings) }
  }
  const plates = dinners.map((dinner) => value(dinner.pile, dinner.fresh + dinner.frozen, 'count'))
  return {
    title: 'Dinners',
    quantity: 'count',
    expression: plus(...plates),
    note: 'Whole dinners of one part each; servings that make none are over.',
  }
}
