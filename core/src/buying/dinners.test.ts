import fc from 'fast-check'
import { wholeForm } from '../../test/forms.ts'
import { evaluate } from '../explanation/index.ts'
import { dinnersOf, explainMeals, type MealPart, type MealView, mealView } from './index.ts'

const part = (pile: string, servings: number, eatBy: string, frozenUntil: string | null = '2027-08-24'): MealPart => ({
  ...{ pile, servings, eatBy, frozenUntil },
  weight: servings * 200,
  costPerServing: 2,
})

test('one dinner a day, what must be eaten first at first; the rest is frozen, or was too much', () => {
  const parts = [
    part('supremes', 13, '2026-11-27'),
    part('livers', 9, '2026-11-25', null),
    part('thighs', 3, '2026-11-27'),
  ]
  expect(dinnersOf(parts, 4, '2026-11-24')).toEqual([
    { pile: 'supremes', fresh: 2, frozen: 1, tooMany: 0, servingsOver: 1 },
    { pile: 'livers', fresh: 2, frozen: 0, tooMany: 0, servingsOver: 1 },
    { pile: 'thighs', fresh: 0, frozen: 0, tooMany: 0, servingsOver: 3 },
  ])
  expect(dinnersOf([part('livers', 12, '2026-11-25', null)], 4, '2026-11-24')[0]).toMatchObject({
    fresh: 2,
    tooMany: 1,
  })
})

test('no serving is lost and none is eaten twice, and no day has two dinners', () => {
  const anyPart = fc.record({
    pile: fc.string(),
    servings: fc.integer({ min: 0, max: 60 }),
    days: fc.integer({ min: 0, max: 6 }),
    isFrozen: fc.boolean(),
  })
  fc.assert(
    fc.property(fc.array(anyPart, { maxLength: 6 }), fc.integer({ min: 1, max: 9 }), (given, eaters) => {
      const parts = given.map(({ pile, servings, days, isFrozen }) =>
        part(pile, servings, `2026-11-${24 + days}`, isFrozen ? '2027-08-24' : null),
      )
      const dinners = dinnersOf(parts, eaters, '2026-11-24')
      dinners.forEach(({ fresh, frozen, tooMany, servingsOver }, index) => {
        expect((fresh + frozen + tooMany) * eaters + servingsOver).toBe(parts[index]?.servings)
        expect(fresh).toBeLessThanOrEqual((given[index]?.days ?? 0) + 1)
      })
      expect(dinners.reduce((sum, dinner) => sum + dinner.fresh, 0)).toBeLessThanOrEqual(7)
    }),
    { seed: 15, numRuns: 300 },
  )
})

test('servings, dinners and the cost of a serving open to what they are worked out from', () => {
  const keeping = { chilledDays: 2, frozenMonths: 9 }
  const uses = [{ pile: 'supremes', serving: 250, keeping }]
  const request = { units: 4, wagePerHour: 20, currency: 'EUR', day: '2026-11-24', useBy: null, uses }
  const view = mealView(wholeForm(), request) as MealView
  const dinners = dinnersOf(view.parts, 3, request.day)
  const worked = (figure: 'servings' | 'costPerServing' | 'dinners') =>
    evaluate(explainMeals(view, dinners, figure).expression)
  expect([worked('servings'), worked('dinners')]).toEqual([view.servings, 2])
  expect(worked('costPerServing')).toBeCloseTo(view.costPerServing as number, 9)
})
