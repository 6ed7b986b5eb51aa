import { randomLcg, randomNormal } from 'd3-random'
import fc from 'fast-check'
import cases from '../../cases/plating.json'
import { loadSolver } from '../../test/solver.ts'
import type { SolveProgramme } from '../solving/index.ts'
import { leastDeviation, mostPlates } from './bounds.ts'
import { PlatingRun, platePieces } from './index.ts'
import type { Plating, PlatingRequest } from './plate-request.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const deviationOf = (plating: Plating, request: PlatingRequest) =>
  plating.plates.reduce((sum, plate) => sum + Math.abs(plate.weight - request.plate.target), 0)

/** Every piece once, every plate of the kinds it needs and within its bounds. */
function expectFair(plating: Plating, { pieces, plate }: PlatingRequest) {
  const ids = [...plating.plates.flatMap((plate) => plate.ids), ...plating.left]
  expect([...ids].sort()).toEqual(pieces.map((piece) => piece.id).sort())
  for (const { ids: on, weight } of plating.plates) {
    const here = on.map((id) => pieces.find((piece) => piece.id === id))
    expect(here.reduce((sum, piece) => sum + (piece?.weight ?? 0), 0)).toBeCloseTo(weight, 9)
    expect(weight).toBeGreaterThanOrEqual(plate.low - 1e-9)
    expect(weight).toBeLessThanOrEqual(plate.high + 1e-9)
    for (const { kind, count } of plate.needs) {
      const fitting = kind === 'any' ? here.length : here.filter((piece) => piece?.kind === kind).length
      expect(fitting).toBeGreaterThanOrEqual(count)
    }
  }
}

test.each(cases.map((testCase) => [testCase.name, testCase] as const))(
  '%s: as many plates and as near as is known',
  (_name, { input, expect: expected }) => {
    const plating = platePieces(input, solve)
    expect(plating.plates).toHaveLength(expected.plates)
    expect(deviationOf(plating, input)).toBeCloseTo(expected.deviation, 6)
    expect(plating.gap).toBe(0)
    expectFair(plating, input)
  },
)

/** The best by trying every way: only for a few pieces. */
function bestByTrying({ pieces, plate }: PlatingRequest): [number, number] {
  const size = plate.needs.reduce((sum, need) => sum + need.count, 0)
  let best: [number, number] = [0, 0]
  const used = new Set<number>()
  const isPlate = (set: number[]) =>
    plate.needs.every(
      ({ kind, count }) => kind === 'any' || set.filter((at) => pieces[at]?.kind === kind).length >= count,
    )
  const go = (from: number, plates: number, deviation: number) => {
    if (plates > best[0] || (plates === best[0] && deviation < best[1])) best = [plates, deviation]
    const grow = (at: number, set: number[], weight: number) => {
      if (set.length === size) {
        if (weight < plate.low || weight > plate.high || !isPlate(set)) return
        for (const value of set) used.add(value)
        go((set[0] as number) + 1, plates + 1, deviation + Math.abs(weight - plate.target))
        for (const value of set) used.delete(value)
        return
      }
      for (let next = at; next < pieces.length; next++) {
        if (!used.has(next)) grow(next + 1, [...set, next], weight + (pieces[next]?.weight ?? 0))
      }
    }
    for (let first = from; first < pieces.length; first++) {
      if (!used.has(first)) grow(first + 1, [first], pieces[first]?.weight ?? 0)
    }
  }
  go(0, 0, 0)
  return best
}

const small = fc.record({
  pieces: fc
    .array(fc.record({ weight: fc.integer({ min: 80, max: 130 }), kind: fc.constantFrom('dark', 'white') }), {
      maxLength: 8,
    })
    .map((pieces) => pieces.map((piece, index) => ({ ...piece, id: `p${index}` }))),
  plate: fc.constantFrom(
    { low: 195, target: 210, high: 225, needs: [{ kind: 'any', count: 2 }] },
    {
      low: 195,
      target: 210,
      high: 225,
      needs: [
        { kind: 'dark', count: 1 },
        { kind: 'white', count: 1 },
      ],
    },
    {
      low: 300,
      target: 315,
      high: 330,
      needs: [
        { kind: 'any', count: 1 },
        { kind: 'dark', count: 2 },
      ],
    },
  ),
})

test('agrees with trying everything on a few pieces, and the bounds hold', () => {
  fc.assert(
    fc.property(small, (request) => {
      const plating = platePieces(request, solve)
      const [plates, deviation] = bestByTrying(request)
      expect(plating.plates).toHaveLength(plates)
      expect(deviationOf(plating, request)).toBeCloseTo(deviation, 9)
      expectFair(plating, request)
      expect(plates).toBeLessThanOrEqual(mostPlates(request))
      expect(deviation).toBeGreaterThanOrEqual(leastDeviation(request, plates) - 1e-9)
    }),
    { numRuns: 60 },
  )
})

function many(count: number, plate: PlatingRequest['plate'], seed = 0.3): PlatingRequest {
  const weight = randomNormal.source(randomLcg(seed))(110, 14)
  const pieces = Array.from({ length: count }, (_, index) => ({
    id: `p${index}`,
    weight: Math.round(weight()),
    kind: index % 2 === 0 ? 'dark' : 'white',
  }))
  return { pieces, plate }
}

test.each([
  ['two of any', { low: 205, target: 220, high: 238, needs: [{ kind: 'any', count: 2 }] }],
  ['three of any', { low: 307, target: 330, high: 356, needs: [{ kind: 'any', count: 3 }] }],
  [
    'a dark one and a white one',
    {
      low: 205,
      target: 220,
      high: 238,
      needs: [
        { kind: 'dark', count: 1 },
        { kind: 'white', count: 1 },
      ],
    },
  ],
])('sixty pieces, %s, are plated exactly', (_words, plate) => {
  const request = many(60, plate)
  const plating = platePieces(request, solve)
  expect(plating.gap).toBe(0)
  expectFair(plating, request)
})

test('three hundred pieces come within two per cent of the bound, and one may look in between', () => {
  const request = many(300, { low: 300, target: 330, high: 360, needs: [{ kind: 'any', count: 3 }] })
  const run = new PlatingRun(request, solve)
  run.step()
  expect(run.done / run.of).toBeLessThanOrEqual(1)
  while (!run.plating) run.step()
  expect(run.plating.gap).toBeLessThanOrEqual(0.02)
  expectFair(run.plating, request)
})

test('no pieces, or none that fit, make no plates', () => {
  const plate = { low: 205, target: 220, high: 238, needs: [{ kind: 'any', count: 2 }] }
  expect(platePieces({ pieces: [], plate }, solve)).toMatchObject({ plates: [], left: [], mean: null, fairness: null })
  const one = { pieces: [{ id: 'a', weight: 220, kind: 'dark' }], plate }
  expect(platePieces(one, solve)).toMatchObject({ plates: [], left: ['a'], gap: 0 })
})
