import { productsOfPiles } from './index.ts'

const usual = [
  { name: 'centre steak', target: 220, low: 205, high: 235, minThickness: 25, minFace: 60, value: 12.1 },
  { name: 'medallion', target: 90, low: 80, high: 105, value: 3.6 },
]
const pile = (changes = {}) => ({
  id: 'p',
  name: 'centre steak',
  class: 'primary' as const,
  weighing: 'pieces' as const,
  expectedShare: null,
  portions: 5,
  target: 210,
  low: 200,
  high: 225,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
  ...changes,
})

test('a portion pile is a product with its own bounds, and the usual thickness and face', () => {
  expect(productsOfPiles([pile()], usual)).toEqual([
    {
      name: 'centre steak',
      target: 210,
      low: 200,
      high: 225,
      minThickness: 25,
      minFace: 60,
      value: (12.1 / 220) * 210,
    },
  ])
})

test('what the kitchen says a kilo is worth goes before what is usual', () => {
  expect(productsOfPiles([pile({ valuePerKg: 40 })], usual)[0]?.value).toBeCloseTo(8.4, 12)
})

test('bounds that nobody set are a tenth either way, and an unknown name has no thickness', () => {
  const [product] = productsOfPiles([pile({ name: 'steaks', low: null, high: null })], usual)
  expect([product?.low, product?.high]).toEqual([189, 231.00000000000003])
  expect([product?.minThickness, product?.minFace]).toEqual([undefined, undefined])
})

test('what is weighed whole, has no target, or is no portion is not cut for', () => {
  const piles = [pile({ weighing: 'whole' }), pile({ target: null }), pile({ class: 'by-product' })]
  expect(productsOfPiles(piles, usual)).toEqual([])
})
