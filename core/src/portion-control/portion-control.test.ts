import fc from 'fast-check'
import { evaluate } from '../explanation/index.ts'
import { givenAwayAWeek, type PortionControl, portionControl, portionFigure, servedWeight } from './index.ts'

const pile = (pieces: readonly number[], changes = {}) => ({
  name: 'supremes',
  class: 'primary' as const,
  pieces,
  target: 280,
  low: 260,
  high: 300,
  ...changes,
})

test('every piece is in one bar, and bars tell light, right and heavy apart', () => {
  const pieces = fc.array(fc.integer({ min: 150, max: 420 }), { minLength: 1, maxLength: 200 })
  fc.assert(
    fc.property(pieces, (grams) => {
      const control = portionControl(pile(grams), 10)
      expect(control?.bars.reduce((sum, bar) => sum + bar.count, 0)).toBe(grams.length)
      expect(control?.bars.length).toBeLessThanOrEqual(40)
    }),
    { seed: 5, numRuns: 60 },
  )
  const { bars } = portionControl(pile([250, 262, 280, 299, 310]), 10) as NonNullable<ReturnType<typeof portionControl>>
  expect(bars.filter((bar) => bar.count > 0).map((bar) => bar.bound)).toEqual(['below', 'within', 'within', 'above'])
})

test('the share within bounds, and what is given away and would be by a tighter hand', () => {
  const control = portionControl(pile([250, 270, 280, 300, 320]), 10)
  expect(control?.capability).toBe(0.6)
  // Four are served; 20 and 40 g are over.
  expect(control?.givenAwayPerPortion).toBeCloseTo((0.06 * 10) / 4, 12)
  // Half as far: 265 is served now, and 10 and 20 g are over.
  expect(control?.givenAwayTighter).toBeCloseTo((0.03 * 10) / 5, 12)
})

test('without a target nothing is given away, and without pieces there is nothing to say', () => {
  expect(portionControl(pile([250, 270], { target: undefined }), 10)?.givenAwayPerPortion).toBeNull()
  expect(portionControl(pile([270]), null)?.givenAwayPerPortion).toBeNull()
  expect(portionControl(pile([]), 10)).toBeNull()
  expect(portionControl({ name: 'x', class: 'primary', weight: 5 }, 10)).toBeNull()
})

test('a week gives away what its portions do, and a tighter hand saves a part of it', () => {
  const control = portionControl(pile([250, 270, 280, 300, 320]), 10) as PortionControl
  expect(givenAwayAWeek(control, 100)?.givenAway).toBeCloseTo(15, 9)
  expect(givenAwayAWeek(control, 100)?.saved).toBeCloseTo(9, 9)
  expect(givenAwayAWeek({ ...control, givenAwayTighter: null }, 100)).toBeNull()
})

describe('served weight', () => {
  test('is what cooking leaves, and its formula works out to the figure', () => {
    const served = servedWeight({ weight: 3360, portions: 12, mean: null, costPerPortion: 2.99 }, 0.22)
    expect(served?.grams).toBeCloseTo(218.4, 9)
    expect(served?.costPer100g).toBeCloseTo((2.99 / 218.4) * 100, 9)
    expect(served && evaluate(served.explanation.expression)).toBeCloseTo(served?.costPer100g as number, 9)
  })

  test('of what is wholly lost there is none', () => {
    const portion = { weight: 3360, portions: 12, mean: 281, costPerPortion: 3 }
    expect(servedWeight(portion, 1)).toBeNull()
    expect(servedWeight({ ...portion, mean: null, portions: null }, 0.2)).toBeNull()
    expect(servedWeight({ ...portion, costPerPortion: null }, 0.2)).toBeNull()
    expect(servedWeight(portion, 0)?.grams).toBe(281)
  })
})

test('every figure of portion control opens to itself', () => {
  const pile = {
    name: 'supremes',
    class: 'primary' as const,
    pieces: [250, 275, 290, 310],
    target: 280,
    low: 260,
    high: 300,
  }
  const control = portionControl(pile, 13) as PortionControl
  for (const figure of ['capability', 'givenAwayPerPortion', 'givenAwayTighter'] as const) {
    const explanation = portionFigure(pile, 13, control, figure)
    expect(evaluate(explanation?.expression as never)).toBeCloseTo(control[figure] as number, 12)
  }
  expect(portionFigure(pile, null, portionControl(pile, null) as PortionControl, 'givenAwayTighter')).toBeNull()
})
