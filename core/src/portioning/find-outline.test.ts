import fc from 'fast-check'
import { findOutline, type Pixels } from './index.ts'

type Colour = readonly [number, number, number]
const PAPER: Colour = [232, 226, 214]
const MEAT: Colour = [150, 60, 58]
const SIZE = { width: 300, height: 140 }

/** A picture drawn pixel by pixel; each colour is off by a little, as in a photograph. */
function picture(colourAt: (x: number, y: number) => Colour): Pixels {
  const data = new Uint8ClampedArray(SIZE.width * SIZE.height * 4)
  for (let y = 0; y < SIZE.height; y++) {
    for (let x = 0; x < SIZE.width; x++) {
      const noise = ((x * 7919 + y * 104_729) % 13) - 6
      data.set([...colourAt(x, y).map((level) => level + noise), 255], (y * SIZE.width + x) * 4)
    }
  }
  return { ...SIZE, data }
}
interface Oval {
  x: number
  y: number
  long: number
  wide: number
}
const isIn = ({ x: cx, y: cy, long, wide }: Oval, x: number, y: number) =>
  ((x - cx) / long) ** 2 + ((y - cy) / wide) ** 2 <= 1
const piece = { x: 150, y: 60, long: 110, wide: 32 }

test('a piece on paper is found to a pixel or two, whatever ruler lies beside it', () => {
  const found = findOutline(
    picture((x, y) => {
      // A ruler, and crumbs.
      if (y > 118 && y < 128 && x > 30 && x < 260) return [40, 40, 40]
      return isIn(piece, x, y) || (x > 280 && y < 4) ? MEAT : PAPER
    }),
    5,
  )
  expect((found?.ends[0].x ?? 0) * SIZE.width).toBeCloseTo(40, -0.5)
  expect((found?.ends[1].x ?? 0) * SIZE.width).toBeCloseTo(260, -0.5)
  const middle = found?.edges[2] ?? { top: 0, bottom: 0 }
  expect(Math.abs(middle.top * SIZE.height - 28)).toBeLessThan(2)
  expect(Math.abs(middle.bottom * SIZE.height - 92)).toBeLessThan(2)
  const [first, , , , last] = found?.edges ?? []
  for (const end of [first, last]) expect((end?.bottom ?? 1) - (end?.top ?? 0)).toBeLessThan(0.2)
})

test('on a dark board a pale fillet is found as well, and where nothing lies nothing is', () => {
  const fillet = findOutline(
    picture((x, y) => (isIn(piece, x, y) ? [225, 190, 160] : [60, 58, 55])),
    6,
  )
  expect(fillet?.edges).toHaveLength(6)
  expect(
    findOutline(
      picture(() => PAPER),
      6,
    ),
  ).toBeNull()
  expect(
    findOutline(
      picture((x, y) => (isIn({ ...piece, long: 9, wide: 9 }, x, y) ? MEAT : PAPER)),
      6,
    ),
  ).toBeNull()
})

test('edges lie on the piece, in their order, wherever it lies and however large it is', () => {
  const oval = fc.record({
    x: fc.integer({ min: 110, max: 190 }),
    y: fc.integer({ min: 50, max: 90 }),
    long: fc.integer({ min: 40, max: 100 }),
    wide: fc.integer({ min: 15, max: 45 }),
  })
  fc.assert(
    fc.property(oval, (lies) => {
      const found = findOutline(
        picture((x, y) => (isIn(lies, x, y) ? MEAT : PAPER)),
        6,
      )
      const [left, right] = (found?.ends ?? []).map(({ x }) => x * SIZE.width)
      expect(Math.abs((left ?? 0) - (lies.x - lies.long))).toBeLessThan(2.5)
      expect(Math.abs((right ?? 0) - (lies.x + lies.long))).toBeLessThan(2.5)
      for (const { top, bottom } of found?.edges ?? []) {
        expect(top).toBeLessThan(bottom)
        expect(top * SIZE.height).toBeGreaterThanOrEqual(lies.y - lies.wide - 1)
        expect(bottom * SIZE.height).toBeLessThanOrEqual(lies.y + lies.wide + 2)
      }
    }),
    { seed: 6, numRuns: 15 },
  )
})
