import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { recordFigures } from './record-figures.ts'
import { sizeClassOf } from './size-class.ts'

const SAID = { isPriced: true, isLabourMeasured: true }
const document = (changes: Partial<FabricationDocument> = {}): FabricationDocument => ({
  format: 'fleam/fabrication',
  version: 1,
  currency: 'EUR',
  item: 'Loin',
  style: 'Steaks',
  purchase: { price: { amount: 20, per: 'kg' }, invoiceWeight: 10_000, pieces: 2 },
  labour: [{ task: 'cut', minutes: 30, ratePerHour: 20 }],
  piles: [
    { name: 'steaks', class: 'primary', pieces: [200, 200, 150, 250, ...Array(30).fill(200)], target: 200, low: 180 },
    { name: 'tips', class: 'by-product', weight: 1_000, valuePerKg: 10, usedShare: 0.6, processingPerKg: 2 },
    { name: 'sinew', class: 'waste', weight: 1_500 },
  ],
  creditPolicy: 'used',
  allocation: 'weight',
  offers: [
    { name: 'dear', pile: 'steaks', price: { amount: 12, per: 'piece' }, pieceWeight: 200 },
    { name: 'cheap', pile: 'steaks', price: { amount: 9, per: 'piece' }, pieceWeight: 200 },
  ],
  ...changes,
})

test('weights, yields and minutes are those of the appraisal', () => {
  const { weights } = appraise(document())
  expect(recordFigures(document(), SAID)).toMatchObject({
    ap: 10_000,
    primaryWeight: 6_800,
    portionYield: weights.portionYield,
    utilisation: weights.utilisation,
    balance: weights.balance,
    units: 2,
    minutesPerUnit: 15,
  })
})

test('each view of money is what a cook would work out by hand', () => {
  const { cost, piles } = appraise(document())
  const { money, costPerPortion, savingPerPortion } = recordFigures(document(), SAID)
  expect(money.spent).toBe(cost.net)
  // 200 in purchase for 10 kg: 20 a kilo. 33 of 34 pieces are portions.
  expect(money.waste).toBeCloseTo(1.5 * 20, 9)
  expect(money.unused).toBeCloseTo(1 * 0.4 * 8, 9)
  expect(money.unaccounted).toBeCloseTo(0.7 * 20, 9)
  expect(money.demoted).toBeCloseTo(0.15 * ((piles[0]?.costPerKg ?? 0) - 10), 9)
  expect(money.givenAway).toBeCloseTo(0.05 * (piles[0]?.costPerKg ?? 0), 9)
  expect(piles[0]?.portions).toBe(33)
  expect(costPerPortion).toBe(piles[0]?.costPerPortion)
  // Against the cheaper of the two offers alone.
  expect(money.saved).toBeCloseTo((savingPerPortion ?? 0) * 33, 9)
  expect(savingPerPortion).toBeCloseTo(
    (Math.min(9, 12) * (appraise(document()).comparisons[1]?.plateWeight ?? 0)) / 200 - (costPerPortion ?? 0),
    9,
  )
})

test('without a price there is no money, without clocks no minutes, without a count no units', () => {
  const bare = document({ purchase: { price: { amount: 20, per: 'kg' }, invoiceWeight: 10_000 } })
  const figures = recordFigures(bare, { isPriced: false, isLabourMeasured: false })
  expect(figures).toMatchObject({ units: null, minutesPerUnit: null, costPerPortion: null, savingPerPortion: null })
  expect(Object.values(figures.money)).toEqual([0, 0, 0, 0, 0, 0, 0])
  expect(recordFigures(bare, SAID).minutesPerUnit).toBeNull()
})

test('a pile at more than its by-products fetch is demoted for nothing', () => {
  const cheap = document({ purchase: { price: { amount: 1, per: 'kg' }, invoiceWeight: 10_000, pieces: 2 } })
  expect(recordFigures(cheap, SAID).money.demoted).toBe(0)
  expect(recordFigures(sixChickens(), SAID).money.spent).toBeGreaterThan(0)
})

test.each([
  [2_100, 2_000, 2_250],
  [180, 150, 200],
  [999.9, 950, 1_000],
  [9_072, 9_000, 10_000],
  [31_000, 30_000, 35_000],
])('a unit of %d g is of the class from %d to %d g', (weight, from, to) => {
  expect(sizeClassOf(weight)).toEqual({ from, to })
})
