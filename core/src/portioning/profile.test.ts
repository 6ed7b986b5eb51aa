import fc from 'fast-check'
import { areaOf, faceOf, girthOf, measurePiece, misfits, shapeOf } from './index.ts'
import type { Piece } from './piece-shape.ts'

const cone: Piece = {
  weight: 1000,
  length: 300,
  profile: [
    { at: 0, area: 3000 },
    { at: 100, area: 6000 },
    { at: 300, area: 0.001 },
  ],
}

test('an area is a girth around, an ellipse, or itself', () => {
  expect(areaOf({ at: 0, girth: 200 })).toBeCloseTo(200 ** 2 / (4 * Math.PI), 12)
  expect(areaOf({ at: 0, width: 80, height: 40 })).toBeCloseTo((Math.PI * 80 * 40) / 4, 12)
  expect(areaOf({ at: 0, area: 3100 })).toBe(3100)
  // A round piece is the same by girth and by diameter.
  expect(areaOf({ at: 0, width: 60, height: 60 })).toBeCloseTo(areaOf({ at: 0, girth: 60 * Math.PI }), 9)
})

test('face and girth are those of a circle of the area', () => {
  expect(faceOf(Math.PI * 30 ** 2)).toBeCloseTo(60, 12)
  expect(girthOf(Math.PI * 30 ** 2)).toBeCloseTo(60 * Math.PI, 9)
})

test('weight follows area: by hand over two straight stretches', () => {
  const shape = shapeOf(cone)
  const [first, second] = [450_000, 600_000]
  expect(shape.weightBetween(0, 100)).toBeCloseTo((1000 * first) / (first + second), 3)
  expect(shape.areaAt(50)).toBeCloseTo(4500, 9)
  expect(shape.faceAt(100)).toBeCloseTo(2 * Math.sqrt(6000 / Math.PI), 9)
})

test('parts weigh the whole, wherever one cuts', () => {
  const station = fc.record({ gap: fc.integer({ min: 1, max: 90 }), girth: fc.integer({ min: 20, max: 400 }) })
  fc.assert(
    fc.property(
      fc.array(station, { minLength: 2, maxLength: 6 }),
      fc.array(fc.double({ min: 0, max: 1, noNaN: true })),
      (stations, cuts) => {
        let at = 0
        const profile = stations.map(({ gap, girth }, which) => {
          if (which > 0) at += gap
          return { at, girth }
        })
        const shape = shapeOf({ weight: 850, length: at, profile })
        const places = [0, ...cuts.map((share) => share * at).sort((a, b) => a - b), at]
        const parts = places.slice(1).map((to, which) => shape.weightBetween(places[which] as number, to))
        expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(850, 6)
        expect(Math.min(...parts)).toBeGreaterThanOrEqual(-1e-9)
      },
    ),
  )
})

describe('why a piece is not a product', () => {
  const product = {
    name: 'steak',
    target: 200,
    low: 180,
    high: 220,
    minThickness: 20,
    maxThickness: 50,
    minFace: 40,
    value: 1,
  }
  const piece = (changes = {}) => ({
    from: 0,
    to: 30,
    weight: 200,
    thickness: 30,
    faces: [60, 50] as const,
    ...changes,
  })

  test.each([
    [{}, []],
    [{ weight: 179 }, ['too-light']],
    [{ weight: 221 }, ['too-heavy']],
    [{ thickness: 19 }, ['too-thin']],
    [{ thickness: 51 }, ['too-thick']],
    [{ faces: [60, 39] as const }, ['face-too-small']],
    [{ weight: 100, thickness: 10 }, ['too-light', 'too-thin']],
  ])('%j: %j', (changes, reasons) => {
    expect(misfits(piece(changes), product, 1)).toEqual(reasons)
  })

  test('by thickness it is as thick as asked to half a step', () => {
    const slice = { ...product, targetThickness: 30 }
    expect(misfits(piece({ thickness: 30.5 }), slice, 1)).toEqual([])
    expect(misfits(piece({ thickness: 31 }), slice, 1)).toEqual(['too-thick'])
  })

  test('a tail lies where tails lie', () => {
    expect(misfits(piece(), { ...product, within: [10, 100] }, 1)).toEqual(['outside-its-place'])
  })

  test('two layers are half as long and wider by the root of two', () => {
    const shape = shapeOf(cone)
    const plain = measurePiece(shape, {}, 0, 60)
    const folded = measurePiece(shape, { folded: true }, 0, 60)
    expect(folded.thickness).toBeCloseTo(plain.thickness / 2, 12)
    expect(folded.faces[0]).toBeCloseTo(plain.faces[0] * Math.SQRT2, 9)
    expect(folded.weight).toBe(plain.weight)
  })
})
