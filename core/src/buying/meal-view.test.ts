import { quote, wholeForm } from '../../test/forms.ts'
import { keptUntil, type MealView, mealView } from './index.ts'

const keeping = { chilledDays: 2, frozenMonths: 9 }
const request = {
  units: 4,
  wagePerHour: 20,
  currency: 'EUR',
  day: '2026-11-24',
  useBy: null,
  uses: [
    { pile: 'supremes', serving: 250, keeping },
    { pile: 'drumsticks', serving: 200, keeping },
    { pile: 'bones', serving: null, keeping },
  ],
}

test('one purchase is so many servings, and every serving carries its part of the cost', () => {
  const view = mealView(wholeForm(), request) as MealView
  expect(view.outlay).toBeCloseTo(24, 9)
  // 2 kg of supremes are 8 servings, 1 kg of drumsticks is 5.
  expect(view.parts.map((part) => [part.pile, part.servings])).toEqual([
    ['supremes', 8],
    ['drumsticks', 5],
  ])
  const carried = view.parts.reduce((sum, part) => sum + (part.costPerServing as number) * part.servings, 0)
  expect(carried).toBeCloseTo(view.appraisal.cost.net, 9)
  expect(view.costPerServing).toBeCloseTo(view.appraisal.cost.net / 13, 9)
})

test('a part that nobody eats has no servings, and nothing eaten has no cost a serving', () => {
  const uses = request.uses.map((use) => ({ ...use, serving: null }))
  // One part must be portioned for costs to fall on; with none there is nothing to say.
  const view = mealView(wholeForm(), { ...request, uses }) as MealView
  expect([view.servings, view.costPerServing, view.parts]).toEqual([0, null, []])
})

describe('keeping', () => {
  test('begins on the day it is opened', () => {
    expect(keptUntil(keeping, '2026-11-24', null)).toEqual({ eatBy: '2026-11-25', frozenUntil: '2027-08-24' })
  })

  test('is never longer than the supplier’s use-by, and begins there where that was earlier', () => {
    expect(keptUntil(keeping, '2026-11-24', '2026-11-24').eatBy).toBe('2026-11-24')
    expect(keptUntil(keeping, '2026-11-24', '2026-11-20')).toEqual({ eatBy: '2026-11-20', frozenUntil: '2027-08-20' })
  })

  test('of what is not frozen has no such day', () => {
    expect(keptUntil({ chilledDays: 1, frozenMonths: null }, '2026-11-24', null).frozenUntil).toBeNull()
  })
})

test('a deal of several counts whole, also what was not wanted', () => {
  const deal = wholeForm({ quote: quote(50, 'lot', { packPieces: 5 }) })
  expect(mealView(deal, request)).toMatchObject({ outlay: 50, order: { pieces: 5, isRaised: true } })
  expect(mealView(deal, { ...request, units: 5 })?.order.isRaised).toBe(false)
})
