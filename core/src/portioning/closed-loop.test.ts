import { randomLcg, randomNormal } from 'd3-random'
import { summarise } from '../statistics/index.ts'
import { afterCut, nextCut, ownThicknessPerMm, pieceFromTemplate, shapeOf } from './index.ts'
import type { Piece } from './piece-shape.ts'
import type { PortionRequest } from './plan-request.ts'

const TEMPLATE = {
  stations: [
    { at: 0, girth: 150 },
    { at: 0.15, girth: 225 },
    { at: 0.35, girth: 255 },
    { at: 0.7, girth: 235 },
    { at: 0.9, girth: 170 },
    { at: 1, girth: 95 },
  ],
  roundness: 0.75,
  density: 1.06,
}
const TARGET = 200
const LOW = 185
const HIGH = 215
const products = [{ name: 'steak', target: TARGET, low: LOW, high: HIGH, minThickness: 12, minFace: 30, value: 11 }]
const requestFor = (piece: Piece): PortionRequest => ({
  piece,
  products,
  scrap: { valuePerKg: 8 },
  minScrap: 10,
  kerf: 0,
  step: 1,
})

/** A loin whose true shape differs from the template by some per cent, here and there; nobody sees it. */
function hiddenLoin(random: () => number): Piece {
  const off = randomNormal.source(random)(1, 0.06)
  const weight = 1900 + random() * 500
  const length = 440 + random() * 60
  const stations = TEMPLATE.stations.map((station) => ({ ...station, girth: station.girth * off() }))
  return pieceFromTemplate({ ...TEMPLATE, stations }, weight, length)
}

/** Cuts a loin as the planner says, after each cut with the portion's weight; the hand is a millimetre off. */
function cutClosed(hidden: Piece, random: () => number): number[] {
  const shape = shapeOf(hidden)
  const hand = randomNormal.source(random)(0, 1)
  let seen: Piece | null = pieceFromTemplate(TEMPLATE, hidden.weight, hidden.length)
  let at = 0
  const portions: number[] = []
  for (let cuts = 0; seen && cuts < 40; cuts++) {
    const next = nextCut(requestFor(seen))
    if (!next || next.thickness >= seen.length - 1) {
      // What is left is the last portion, or the tips.
      if (next?.product) portions.push(shape.weightBetween(at, hidden.length))
      break
    }
    const thickness = Math.max(5, Math.min(seen.length - 1, Math.round(next.thickness + hand())))
    const weight = Math.round(shape.weightBetween(at, at + thickness))
    if (next.product) portions.push(weight)
    at += thickness
    seen = afterCut(seen, { thickness, weight })
  }
  return portions
}

/** Cuts equal thicknesses, as thick as gives the target in the mean. */
function cutEqual(hidden: Piece, random: () => number): number[] {
  const shape = shapeOf(hidden)
  const hand = randomNormal.source(random)(0, 1)
  const thickness = hidden.length / Math.round(hidden.weight / TARGET)
  const portions: number[] = []
  for (let at = 0; at < hidden.length - thickness / 2; ) {
    const to = Math.min(hidden.length, Math.round(at + thickness + hand()))
    portions.push(Math.round(shape.weightBetween(at, to)))
    at = to
  }
  return portions
}

test('with the scale in the loop portions spread half as much as equal slices, and more are within bounds', () => {
  const random = randomLcg(0.31)
  const loins = Array.from({ length: 14 }, () => hiddenLoin(random))
  const closed = loins.flatMap((loin) => cutClosed(loin, random))
  const equal = loins.flatMap((loin) => cutEqual(loin, random))
  const within = (weights: readonly number[]) => weights.filter((weight) => weight >= LOW && weight <= HIGH).length
  const [before, after] = [summarise(equal).sd as number, summarise(closed).sd as number]
  expect(after).toBeLessThan(before / 2)
  expect(within(closed)).toBeGreaterThan(within(equal))
})

const log: Piece = {
  weight: 1000,
  length: 200,
  profile: [
    { at: 0, area: 1000 },
    { at: 200, area: 1000 },
  ],
}

test('a cut as heavy as its curve said leaves the curve, and what is left weighs the rest less what the saw took', () => {
  const rest = afterCut(log, { thickness: 40, weight: 200 }, 2) as Piece
  expect(rest).toMatchObject({ length: 158, weight: expect.closeTo(790, 9) })
  expect(shapeOf(rest).areaAt(50)).toBeCloseTo(1000, 9)
})

test('a heavier cut makes the curve fuller where it was cut, less and less along the piece', () => {
  const shape = shapeOf(afterCut(log, { thickness: 40, weight: 240 }) as Piece)
  expect(shape.areaAt(0)).toBeCloseTo(1200, 6)
  expect(shape.areaAt(160)).toBeLessThan(shape.areaAt(80))
  expect(shape.areaAt(160)).toBeGreaterThan(1000)
})

test('what somebody weighed of the rest goes before what is reckoned', () => {
  expect(afterCut(log, { thickness: 40, weight: 200, left: 790 })?.weight).toBe(790)
})

test('at a slant the next cut says how far along the knife is led, and how thick the portion is square to its faces', () => {
  const slanted: Piece = { ...pieceFromTemplate(TEMPLATE, 2000, 480), biasAngle: 60 }
  const next = nextCut({
    ...requestFor(slanted),
    products: [{ name: 'steak', target: 200, low: 180, high: 220, value: 10 }],
  })
  expect(next?.thickness).toBeGreaterThan(10)
  expect(next?.ownThickness).toBeCloseTo((next?.thickness ?? 0) / 2, 9)
  // Where the portion came out 2 mm thicker, the piece is 4 mm shorter than it was to be.
  const along = ((next?.ownThickness ?? 0) + 2) / ownThicknessPerMm(60)
  expect(afterCut(slanted, { thickness: along, weight: 200 })?.length).toBeCloseTo(476 - (next?.thickness ?? 0), 9)
})

test('nothing is left to plan after the last of it', () => {
  expect(afterCut(log, { thickness: 200, weight: 1000 })).toBeNull()
  expect(afterCut(log, { thickness: 100, weight: 1000 })).toBeNull()
})
