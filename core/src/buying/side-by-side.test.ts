import { formPile, quote, readyForm, wholeForm } from '../../test/forms.ts'
import { appraise } from '../appraisal/index.ts'
import { evaluate } from '../explanation/index.ts'
import { documentOfOrder } from './form-document.ts'
import { portionsFrom, type SideBySide, type SideFigure, sideOf } from './index.ts'

const request = {
  units: 10,
  wagePerHour: 20,
  currency: 'EUR',
  boneShareOf: (pile: string) => (pile === 'legs' ? 0.25 : 0),
}
const figure = (side: SideBySide | null, name: SideFigure) => {
  const explanation = side?.figures[name]
  return explanation ? evaluate(explanation.expression) : null
}

test('a plate costs what appraise says of the same order', () => {
  const form = wholeForm()
  const side = sideOf(form, request, '')
  const order = { pieces: 10, packs: null, weight: 20_000, goods: 60, isRaised: false }
  const { piles } = appraise(documentOfOrder(form, order, request))
  const portioned = piles.filter((pile) => (pile.portions ?? 0) > 0)
  const portions = portioned.reduce((sum, pile) => sum + (pile.portions as number), 0)
  const cost = portioned.reduce((sum, pile) => sum + (pile.cost as number), 0)
  expect(portions).toBeGreaterThan(0)
  expect(figure(side, 'platesFromOne')).toBeCloseTo(portions / 10, 12)
  expect(figure(side, 'costPerPlate')).toBeCloseTo(cost / portions, 12)
  expect(figure(side, 'minutesPerPlate')).toBeCloseTo(90 / portions, 12)
})

test('a plate is what the kitchen says, and as many pieces as a usual plate takes where it does not', () => {
  const piles = [
    formPile('supremes', 0.28, { class: 'primary', target: 280 }),
    formPile('drumsticks', 0.14, { class: 'primary', target: 140 }),
  ]
  const form = wholeForm({ piles })
  // Twenty kilos: twenty supremes and twenty drumsticks, of which two are a plate.
  const assumed = sideOf(form, request, '')
  expect(assumed?.plates).toEqual([
    { pile: 'supremes', pieces: 1, isAssumed: true },
    { pile: 'drumsticks', pieces: 1, isAssumed: true },
  ])
  const bony = { ...request, boneShareOf: (pile: string) => (pile === 'drumsticks' ? 0.33 : 0) }
  expect(sideOf(form, bony, '')?.plates[1]).toEqual({ pile: 'drumsticks', pieces: 2, isAssumed: true })
  expect(figure(sideOf(form, bony, ''), 'platesFromOne')).toBeCloseTo((20 + 10) / 10, 9)
  const said = {
    ...bony,
    plateOf: (pile: string) => (pile === 'drumsticks' ? { by: 'pieces' as const, count: 4 } : null),
  }
  expect(figure(sideOf(form, said, ''), 'platesFromOne')).toBeCloseTo((20 + 5) / 10, 9)
  const byMeat = { ...bony, plateOf: () => ({ by: 'edible' as const, grams: 200 }) }
  const meat = 5600 + 2800 * 0.67
  expect(figure(sideOf(form, byMeat, ''), 'platesFromOne')).toBeCloseTo(meat / 200 / 10, 9)
  expect(figure(sideOf(form, byMeat, ''), 'costPerPlate')).toBeGreaterThan(0)
})

test('what is bought ready is ordered for as many portions as are cut, and served by the same plate', () => {
  const form = readyForm({ usableShare: 0.9, handlingMinutesPerPiece: 0 })
  const two = { ...request, plateOf: () => ({ by: 'pieces' as const, count: 2 }), portionsOf: () => 40 }
  const side = sideOf(form, two, 'supremes') as SideBySide
  expect(side.count * 0.9).toBeGreaterThanOrEqual(40)
  expect(figure(side, 'costPerPlate')).toBeCloseTo((2 * (76 / 20)) / 0.9, 9)
  expect(figure(side, 'platesFromOne')).toBeCloseTo(0.45, 9)
  expect(portionsFrom([wholeForm()], 'nothing', 7)).toBe(7)
})

test('bone-in portions cost more by the edible gram than by the gram', () => {
  const piles = [formPile('legs', 0.4, { class: 'primary', target: 300 })]
  const bony = figure(sideOf(wholeForm({ piles }), request, ''), 'costPer100gEdible') as number
  const plain = figure(sideOf(wholeForm({ piles }), { ...request, boneShareOf: () => 0 }, ''), 'costPer100gEdible')
  expect(bony).toBeCloseTo((plain as number) / 0.75, 12)
})

test('what is not used of a by-product is waste, with what is lost', () => {
  const piles = [
    formPile('supremes', 0.25, { class: 'primary', target: 250 }),
    formPile('bones', 0.5, { class: 'by-product', usedShare: 0.6 }),
    formPile('bin', 0.05, { class: 'waste' }),
  ]
  const side = sideOf(wholeForm({ piles }), request, '')
  // Twenty plates of 250 g.
  expect(figure(side, 'byProductsPerPlate')).toBeCloseTo(6000 / 20, 6)
  // 40 % of the bones, the bin, and the fifth that nobody weighs.
  expect(figure(side, 'wastePerPlate')).toBeCloseTo((4000 + 1000 + 4000) / 20, 6)
})

test('what is bought ready has rejects and handling, and no by-products', () => {
  const side = sideOf(readyForm({ usableShare: 0.9, handlingMinutesPerPiece: 0.5 }), request, 'supremes')
  expect(figure(side, 'byProductsPerPlate')).toBeNull()
  // 76 for twenty, half a minute at 20 an hour for each, and one in ten cannot be served.
  expect(figure(side, 'costPerPlate')).toBeCloseTo((76 / 20 + (0.5 / 60) * 20) / 0.9, 12)
  expect(figure(side, 'minutesPerPlate')).toBeCloseTo(0.5 / 0.9, 12)
  expect(figure(side, 'wastePerPlate')).toBeCloseTo((280 * 0.1) / 0.9, 9)
  expect((side as SideBySide).count * 0.9).toBeGreaterThanOrEqual(10)
})

test('a quote that does not say how much one buys is not compared', () => {
  expect(sideOf(readyForm({ quote: { ...quote(3), pieceWeight: null } }), request, 'supremes')).toBeNull()
})
