import { formPile, quote, wholeForm } from '../../test/forms.ts'
import { evaluate } from '../explanation/index.ts'
import { explainParted, explainPartPrice, type PartedValue, partedValue, rankParted } from './index.ts'

const request = { units: 10, wagePerHour: 20, currency: 'EUR', marginShare: 0.3 }
const parted = (changes = {}) => partedValue(wholeForm(changes), request) as PartedValue

test('worth is every part at its value, against price, labour and bags', () => {
  const { worth, cost, margin, labourHours, marginPerHour, unvalued } = parted()
  // 5 kg at 13 and 2.5 kg at 4, from 20 kg at 3, an hour and a half, and bags.
  expect(worth).toBeCloseTo(75, 9)
  expect(cost).toBeCloseTo(93, 9)
  expect(margin).toBeCloseTo(-18, 9)
  expect(labourHours).toBeCloseTo(1.5, 9)
  expect(marginPerHour).toBeCloseTo(-12, 9)
  expect(unvalued).toEqual(['bones'])
})

test('prices for the target margin bring just that margin', () => {
  const value = parted()
  const sold = value.parts.reduce((sum, part) => sum + ((part.priceForMargin as number) * part.weight) / 1000, 0)
  expect((sold - value.cost) / sold).toBeCloseTo(0.3, 12)
  for (const part of value.parts) {
    expect(evaluate(explainPartPrice(value, part, 0.3).expression)).toBeCloseTo(part.priceForMargin as number, 9)
  }
})

test('parts that are worth nothing have no price', () => {
  const { parts, marginShare } = parted({ piles: [formPile('supremes', 0.25)] })
  expect([parts[0]?.priceForMargin, marginShare]).toEqual([null, null])
})

test('a haul to the bin takes from the worth', () => {
  expect(parted({ piles: [formPile('bin', 0.1, { class: 'waste', valuePerKg: -0.5 })] }).worth).toBeCloseTo(-1, 9)
})

test('formulas work out to their figures', () => {
  const value = parted()
  for (const figure of ['worth', 'margin', 'marginPerUnit', 'marginPerHour'] as const) {
    expect(evaluate(explainParted(value, figure).expression)).toBeCloseTo(value[figure] as number, 9)
  }
})

test('styles are ranked by what is left over, each or by the hour', () => {
  const slow = parted({ id: 'slow', quote: quote(1) })
  const fast = parted({
    id: 'fast',
    quote: quote(1.2),
    minutesPerUnit: { basis: 'own', tests: 3, value: 6, halfWidth: 0 },
  })
  const ids = (list: PartedValue[]) => list.map((item) => item.form.id)
  expect(ids(rankParted([slow, fast], 'marginPerUnit'))).toEqual(['fast', 'slow'])
  const byHour = rankParted([slow, fast], 'marginPerHour')
  expect((byHour[0]?.marginPerHour as number) >= (byHour[1]?.marginPerHour as number)).toBe(true)
})

test('nothing is said of a quote without a size', () => {
  expect(partedValue(wholeForm({ quote: quote(60, 'case'), unitWeight: 0 }), request)).toBeNull()
})

test('an order that had to be larger is compared by what each leaves over', () => {
  const raised = parted({ quote: quote(3, 'kg', { minimumOrder: 120 }) })
  expect([raised.units, parted().units]).toEqual([20, 10])
  expect(raised.marginPerUnit).toBeCloseTo(parted().marginPerUnit, 9)
})

test('a part that nobody valued is worth what is assumed of it, and says so; one of which nothing is known is left out', () => {
  const piles = [
    formPile('supremes', 0.25, { assumedValue: { perKg: 14, from: 'price-book' } }),
    formPile('drumsticks', 0.125, {
      class: 'by-product',
      valuePerKg: 4,
      assumedValue: { perKg: 99, from: 'same-product' },
    }),
    formPile('bones', 0.5, { class: 'by-product', assumedValue: null }),
  ]
  const value = parted({ piles })
  expect(value.parts.map(({ valuePerKg, assumedFrom }) => [valuePerKg, assumedFrom])).toEqual([
    [14, 'price-book'],
    [4, null],
    [0, null],
  ])
  expect(value.unvalued).toEqual(['bones'])
  expect(evaluate(explainParted(value, 'worth').expression)).toBeCloseTo(value.worth, 9)
  expect(value.worth).toBeCloseTo(request.units * 2 * (0.25 * 14 + 0.125 * 4), 6)
})
