import fc from 'fast-check'
import { loadSolver } from '../../test/solver.ts'
import type { SolveProgramme } from '../solving/index.ts'
import { planRacks, ribWeights } from './index.ts'
import { meatTo } from './rack.ts'
import type { Rack, RackRequest } from './rack-request.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const RACK: Rack = { weight: 780, bones: 8, boneWeight: 150, eye: [62, 61, 58, 55, 52, 49, 45, 42] }
const request = (changes: Partial<RackRequest> = {}): RackRequest => ({
  racks: [RACK],
  target: 150,
  low: 135,
  high: 175,
  perPortion: 'any',
  style: 'straight',
  ...changes,
})
const sum = (weights: readonly number[]) => weights.reduce((total, weight) => total + weight, 0)

test('ribs weigh as much as the rack, the meat by the size of the eye', () => {
  const weights = ribWeights(RACK)
  expect(sum(weights)).toBeCloseTo(780, 9)
  expect(weights[0]).toBeCloseTo((630 * 62) / 424 + 150 / 8, 9)
})

test('straight takes the number of ribs that brings most portions within bounds', () => {
  const plan = planRacks(request({ target: 195, low: 170, high: 225 }), solve)
  expect(plan.portions.map((portion) => portion.bones.length)).toEqual([2, 2, 2, 2])
  expect(plan.boundaries).toEqual([[0, 2, 4, 6, 8]])
  expect(plan.left).toEqual([])
  expect(plan.spread).toBeCloseTo(plan.spreadStraight as number, 12)
})

test('odd ribs are left, from the loin end on', () => {
  const plan = planRacks(request({ perPortion: 3 }), solve)
  expect(plan.portions).toHaveLength(2)
  expect(plan.left).toEqual([
    [0, 6],
    [0, 7],
  ])
})

test('graded portions are closer together than straight ones, each cut within a fifth of its gap', () => {
  const plan = planRacks(request({ style: 'graded', perPortion: 2 }), solve)
  expect(plan.spread as number).toBeLessThan(plan.spreadStraight as number)
  plan.boundaries[0]?.forEach((place, index) => {
    expect(Math.abs(place - index * 2)).toBeLessThanOrEqual(0.2 + 1e-9)
  })
  expect(sum(plan.portions.map((portion) => portion.weight))).toBeCloseTo(780, 6)
})

/** The least spread by trying many positions of each inner boundary. */
function leastSpreadByTrying(rack: Rack, perPortion: number, steps: number): number {
  const portions = Math.floor(rack.bones / perPortion)
  const bone = (rack.boneWeight / rack.bones) * perPortion
  let best = Number.POSITIVE_INFINITY
  const go = (at: number, from: number, least: number, most: number) => {
    if (most - least >= best) return
    if (at === portions) {
      const weight = meatTo(rack, portions * perPortion) - meatTo(rack, from) + bone
      best = Math.min(best, Math.max(most, weight) - Math.min(least, weight))
      return
    }
    for (let step = -steps; step <= steps; step++) {
      const place = at * perPortion + (0.2 * step) / steps
      const weight = meatTo(rack, place) - meatTo(rack, from) + bone
      go(at + 1, place, Math.min(least, weight), Math.max(most, weight))
    }
  }
  go(1, 0, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY)
  return best
}

test('no way of moving the cuts that one tries is closer together than graded', () => {
  const eye = fc.array(fc.integer({ min: 30, max: 70 }), { minLength: 4, maxLength: 4 })
  fc.assert(
    fc.property(eye, fc.constantFrom(1, 2), (sizes, perPortion) => {
      const rack: Rack = { weight: 400, bones: 4, boneWeight: 80, eye: sizes }
      const plan = planRacks(request({ racks: [rack], style: 'graded', perPortion: perPortion as 1 | 2 }), solve)
      const tried = leastSpreadByTrying(rack, perPortion, 20)
      expect(plan.spread as number).toBeLessThanOrEqual(tried + 1e-6)
      expect(plan.spread as number).toBeGreaterThanOrEqual(tried - 6)
    }),
    { numRuns: 25 },
  )
})

test('pairs need not be neighbours: a large rib meets a small one', () => {
  const plan = planRacks(request({ style: 'pairs', target: 195, low: 185, high: 205 }), solve)
  expect(plan.portions).toHaveLength(4)
  const neighbours = plan.portions.filter(
    ({ bones: [a, b] }) => Math.abs((a?.[1] as number) - (b?.[1] as number)) === 1,
  )
  expect(neighbours.length).toBeLessThan(4)
  expect(plan.spread as number).toBeLessThan(plan.spreadStraight as number)
})

test('several racks are solved together', () => {
  const small: Rack = { ...RACK, weight: 640 }
  const plan = planRacks(
    request({ racks: [RACK, small], style: 'pairs', target: 178, low: 168, high: 188, perPortion: 2 }),
    solve,
  )
  expect(plan.portions).toHaveLength(8)
  expect(plan.portions.some(({ bones: [a, b] }) => a?.[0] !== b?.[0])).toBe(true)
  const graded = planRacks(request({ racks: [RACK, small], style: 'graded', perPortion: 2 }), solve)
  expect(graded.boundaries).toHaveLength(2)
  expect(graded.spread as number).toBeLessThanOrEqual(graded.spreadStraight as number)
})
