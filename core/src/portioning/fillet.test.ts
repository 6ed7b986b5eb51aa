import fc from 'fast-check'
import { evaluate } from '../explanation/index.ts'
import { explainCameOff, shapeOf, trimFillet } from './index.ts'
import type { Piece } from './piece-shape.ts'

const fillet: Piece = {
  weight: 800,
  length: 400,
  profile: [
    { at: 0, width: 90, height: 26 },
    { at: 200, width: 80, height: 24 },
    { at: 400, width: 30, height: 10 },
  ],
}

test('without anything taken off it is the fillet itself', () => {
  const { loin, bellyWeight, notchWeight } = trimFillet(fillet, {})
  expect([loin.weight, bellyWeight, notchWeight]).toEqual([800, 0, 0])
  expect(shapeOf(loin).weightBetween(0, 200)).toBeCloseTo(shapeOf(fillet).weightBetween(0, 200), 9)
})

test('a belly of a fifth over a stretch weighs a fifth of that stretch', () => {
  const { bellyWeight, loin } = trimFillet(fillet, { belly: { share: 0.2, from: 0, to: 200 } })
  expect(bellyWeight).toBeCloseTo(shapeOf(fillet).weightBetween(0, 200) * 0.2, 0)
  expect(shapeOf(loin).weightBetween(200, 400)).toBeCloseTo(shapeOf(fillet).weightBetween(200, 400), 0)
})

test('a notch weighs its triangle along the pin bones', () => {
  const { notchWeight } = trimFillet(fillet, { notch: { from: 50, to: 190, width: 12, depth: 10 } })
  const area = shapeOf(fillet).areaAt(120)
  const share = notchWeight / shapeOf(fillet).weightBetween(50, 190)
  expect(share).toBeCloseTo(60 / area, 2)
})

test('what came off opens to its share of what the fillet measures', () => {
  const off = trimFillet(fillet, {
    belly: { share: 0.2, from: 0, to: 200 },
    notch: { from: 50, to: 190, width: 12, depth: 10 },
  })
  expect(evaluate(explainCameOff(800, off, 'belly').expression)).toBeCloseTo(off.bellyWeight, 9)
  expect(evaluate(explainCameOff(800, off, 'notch').expression)).toBeCloseTo(off.notchWeight, 9)
})

test('nothing is lost: loin, belly and notch weigh the fillet', () => {
  const place = fc.integer({ min: 0, max: 400 })
  fc.assert(
    fc.property(
      place,
      place,
      fc.double({ min: 0, max: 0.6, noNaN: true }),
      fc.integer({ min: 0, max: 60 }),
      (a, b, share, width) => {
        const [from, to] = [Math.min(a, b), Math.max(a, b)]
        const trim = { belly: { share, from, to }, notch: { from, to, width, depth: 30 } }
        const { loin, bellyWeight, notchWeight } = trimFillet(fillet, trim)
        expect(loin.weight + bellyWeight + notchWeight).toBeCloseTo(800, 6)
        expect(Math.min(loin.weight, bellyWeight, notchWeight)).toBeGreaterThanOrEqual(-1e-9)
      },
    ),
  )
})
