import {
  howFarOff,
  pieceFromGirths,
  pieceFromOutline,
  pieceFromTemplate,
  shapeOf,
  weightAgainstMeasures,
} from './index.ts'

const TEMPLATE = {
  stations: [
    { at: 0, girth: 1 },
    { at: 0.5, girth: 2 },
    { at: 1, girth: 1 },
  ],
  roundness: 0.8,
  density: 1.06,
}

test('a template filled to weight and length weighs by its measures what the scale says', () => {
  const piece = pieceFromTemplate(TEMPLATE, 2600, 480)
  expect(weightAgainstMeasures(piece, 1.06)).toBeCloseTo(1, 12)
  expect(piece.profile.at(-1)?.at).toBe(480)
  expect(shapeOf(piece).areaAt(240) / shapeOf(piece).areaAt(0)).toBeCloseTo(4, 9)
})

test('girths and outlines are put in order; height follows the roundness', () => {
  const girths = pieceFromGirths(500, 100, [
    { at: 100, girth: 90 },
    { at: 0, girth: 80 },
  ])
  expect(girths.profile.map((station) => station.at)).toEqual([0, 100])
  const outline = pieceFromOutline(
    500,
    100,
    [
      { at: 100, width: 40 },
      { at: 0, width: 50 },
    ],
    TEMPLATE,
  )
  expect(outline.profile[0]).toEqual({ at: 0, width: 50, height: 40 })
})

test('how far off a plan may be is assumed first and learned from the portions weighed', () => {
  const assumed = howFarOff('template', [])
  expect(assumed.share).toBeCloseTo(0.12, 12)
  expect(assumed).toMatchObject({ portions: 0, isOwn: false })
  const exact = Array.from({ length: 40 }, () => ({ planned: 200, weighed: 204 }))
  const learned = howFarOff('template', exact)
  expect(learned.isOwn).toBe(true)
  expect(learned.share).toBeGreaterThan(0.02)
  expect(learned.share).toBeLessThan(0.06)
  expect(howFarOff('girths', []).share).toBeLessThan(howFarOff('outline', []).share)
})
