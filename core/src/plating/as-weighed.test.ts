import { randomLcg, randomNormal } from 'd3-random'
import { loadSolver } from '../../test/solver.ts'
import { evaluate } from '../explanation/index.ts'
import type { PlannedPile } from '../fabrication/index.ts'
import type { SolveProgramme } from '../solving/index.ts'
import {
  explainPlate,
  explainPlating,
  numbersOf,
  plateOfPiles,
  platePieces,
  platesAsWeighed,
  platingByNumbers,
} from './index.ts'
import type { PlatePiece, PlateRequest, PlatingRequest } from './plate-request.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const TWO: PlateRequest = { low: 190, target: 205, high: 225, needs: [{ kind: 'any', count: 2 }] }
const weighed = (weights: readonly number[], kind = 'medallion'): PlatePiece[] =>
  weights.map((weight, index) => ({ id: `${kind} ${index + 1}`, weight, kind }))

/** So many medallions of a hand that cuts about 103 g. */
function simulated(count: number, seed: number): PlatingRequest {
  const normal = randomNormal.source(randomLcg(seed))(103, 10)
  return { pieces: weighed(Array.from({ length: count }, () => Math.round(normal()))), plate: TWO }
}

test('a piece completes the plate that it brings nearest to the target', () => {
  const numbers = platesAsWeighed({ pieces: weighed([120, 95, 86, 110]), plate: TWO })
  // 120 + 95 is within the bounds, so the second completes the first; 86 + 110 is the other plate.
  expect([...numbers.values()]).toEqual([0, 0, 1, 1])
  const three = platesAsWeighed({ pieces: weighed([120, 60, 88]), plate: TWO })
  expect([...three.values()]).toEqual([0, 1, 0])
})

test('a piece that has its plate keeps it, whatever comes after', () => {
  for (const seed of [0.11, 0.37, 0.73]) {
    const request = simulated(30, seed)
    let numbers = new Map<string, number>()
    for (let count = 1; count <= request.pieces.length; count++) {
      const next = platesAsWeighed({ ...request, pieces: request.pieces.slice(0, count) }, numbers)
      for (const [id, number] of numbers) expect(next.get(id)).toBe(number)
      numbers = next
    }
    expect(numbers.size).toBe(30)
  }
})

test('every whole plate is within its bounds and of the kinds that it needs', () => {
  const plate = {
    low: 280,
    target: 310,
    high: 345,
    needs: [
      { kind: 'thigh', count: 1 },
      { kind: 'breast', count: 1 },
    ],
  }
  const pieces = [...weighed([128, 141, 119, 135], 'thigh'), ...weighed([175, 168, 190, 181, 700], 'breast')]
  const request = { pieces, plate }
  const plating = platingByNumbers(request, platesAsWeighed(request))
  expect(plating.plates).toHaveLength(4)
  for (const { ids, weight } of plating.plates) {
    expect(ids.map((id) => id.split(' ')[0]).sort()).toEqual(['breast', 'thigh'])
    expect(weight).toBeGreaterThanOrEqual(280)
    expect(weight).toBeLessThanOrEqual(345)
  }
  expect(plating.left).toEqual(['breast 5'])
})

test('a piece of a kind that no plate takes has no number', () => {
  const request = { pieces: weighed([100], 'wing'), plate: { ...TWO, needs: [{ kind: 'breast', count: 2 }] } }
  expect(platesAsWeighed(request).size).toBe(0)
  expect(platingByNumbers(request, new Map()).left).toEqual(['wing 1'])
})

test('plates of three are filled with what brings them on their way', () => {
  const plate = { low: 285, target: 306, high: 330, needs: [{ kind: 'any', count: 3 }] }
  const request = { ...simulated(30, 0.21), plate }
  const plating = platingByNumbers(request, platesAsWeighed(request))
  expect(plating.plates.length).toBeGreaterThanOrEqual(7)
})

test('numbers given as they come make nearly as many plates as matching all at the end', () => {
  const shares = [0.05, 0.15, 0.25, 0.35, 0.45, 0.55].map((seed) => {
    const request = simulated(40, seed)
    const asWeighed = platingByNumbers(request, platesAsWeighed(request))
    const best = platePieces(request, solve)
    expect(asWeighed.plates.length).toBeLessThanOrEqual(best.plates.length)
    return asWeighed.plates.length / best.plates.length
  })
  expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeGreaterThan(0.9)
})

test('the numbers of a matching are those of its plates', () => {
  const request = simulated(20, 0.6)
  const plating = platePieces(request, solve)
  const again = platingByNumbers(request, numbersOf(plating))
  const inOrder = ({ plates }: typeof plating) => plates.map(({ ids, weight }) => ({ ids: [...ids].sort(), weight }))
  expect(inOrder(again)).toEqual(inOrder(plating))
  expect(again.left).toEqual(plating.left)
})

test('a plate takes one of each portion that is weighed in pieces, two where there is one', () => {
  const pile = (name: string, changes = {}) =>
    ({ name, class: 'primary', weighing: 'pieces', target: 160, low: 150, high: 175, ...changes }) as PlannedPile
  const bones = pile('bones', { class: 'by-product', weighing: 'whole', target: null })
  expect(plateOfPiles([pile('thigh'), pile('breast', { target: 200, low: null, high: 220 }), bones])).toEqual({
    low: 350,
    target: 360,
    high: 395,
    needs: [
      { kind: 'thigh', count: 1 },
      { kind: 'breast', count: 1 },
    ],
  })
  expect(plateOfPiles([pile('medallion'), bones])).toMatchObject({ target: 320, needs: [{ count: 2 }] })
  // A kitchen may weigh by-products piece by piece too: two medallions for a plate.
  const medallions = pile('medallion', { class: 'by-product', target: 90, low: 80, high: 105 })
  expect(plateOfPiles([medallions, bones])).toMatchObject({ low: 160, high: 210, needs: [{ count: 2 }] })
  expect(plateOfPiles([bones, pile('roast', { target: null })])).toBeNull()
})

test('what plates weigh and how fair they are opens to itself', () => {
  const request = simulated(20, 0.8)
  const plating = platePieces(request, solve)
  for (const plate of plating.plates) {
    expect(evaluate(explainPlate(request.pieces, plate).expression)).toBeCloseTo(plate.weight, 9)
  }
  for (const figure of ['mean', 'spread', 'fairness'] as const) {
    const explanation = explainPlating(plating, figure)
    expect(explanation && evaluate(explanation.expression)).toBeCloseTo(plating[figure] as number, 9)
  }
  expect(explainPlating({ plates: [] }, 'mean')).toBeNull()
})
