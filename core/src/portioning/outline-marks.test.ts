import { type OutlineMarks, outlineFromMarks, pieceFromOutline, shapeOf } from './index.ts'

/** A picture 800 mm wide and 400 mm high, with 200 mm of ruler marked. */
const marks: OutlineMarks = {
  ruler: [
    { x: 0.1, y: 0.9 },
    { x: 0.35, y: 0.9 },
  ],
  ends: [
    { x: 0.1, y: 0.5 },
    { x: 0.7, y: 0.5 },
  ],
  edges: [
    { top: 0.4, bottom: 0.6 },
    { top: 0.3, bottom: 0.6 },
    { top: 0.45, bottom: 0.55 },
  ],
}
const picture = { rulerMm: 200, aspect: 0.5 }

test('length and widths are read by the ruler', () => {
  expect(outlineFromMarks(marks, picture)).toEqual({
    length: 480,
    outline: [
      { at: 0, width: 80 },
      { at: 240, width: 120 },
      { at: 480, width: 40 },
    ],
  })
})

test('a ruler that stands upright reads the same, and so does a piece marked from its other end', () => {
  const upright = { ...marks, ruler: [marks.ruler[0], { x: 0.1, y: 0.4 }] as const }
  expect(outlineFromMarks(upright, picture)).toEqual(outlineFromMarks(marks, picture))
  const turned = { ...marks, ends: [marks.ends[1], marks.ends[0]] as const }
  expect(outlineFromMarks(turned, picture)?.length).toBe(480)
})

test('marks that say nothing are no measures', () => {
  expect(outlineFromMarks({ ...marks, ruler: [marks.ruler[0], marks.ruler[0]] }, picture)).toBeNull()
  expect(outlineFromMarks({ ...marks, ends: [marks.ends[0], marks.ends[0]] }, picture)).toBeNull()
  expect(outlineFromMarks(marks, { ...picture, rulerMm: 0 })).toBeNull()
  expect(outlineFromMarks({ ...marks, edges: marks.edges.slice(1, 2) }, picture)).toBeNull()
})

test('edges that meet are as thin as can be, and still a piece', () => {
  const read = outlineFromMarks({ ...marks, edges: [...marks.edges, { top: 0.5, bottom: 0.5 }] }, picture)
  expect(read?.outline.at(-1)?.width).toBe(1)
  const piece = pieceFromOutline(2000, 480, read?.outline ?? [], { roundness: 0.8 })
  expect(shapeOf(piece).weightBetween(0, 480)).toBeCloseTo(2000, 9)
})
