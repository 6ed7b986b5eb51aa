import { LOIN } from '../../test/loin.ts'
import { loadSolver } from '../../test/solver.ts'
import { evaluate } from '../explanation/index.ts'
import type { SolveProgramme } from '../solving/index.ts'
import {
  explainBlade,
  explainBonded,
  explainHowFarOff,
  explainOff,
  explainOffTarget,
  explainPart,
  explainRackWeight,
  explainSpread,
  howFarOff,
  judgeCuts,
  planBonded,
  planRacks,
  type RackCut,
  rackCuts,
} from './index.ts'
import type { BondedRequest, PortionRequest } from './plan-request.ts'
import { RACK_STYLES, type Rack } from './rack-request.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const request: PortionRequest = {
  piece: LOIN,
  products: [
    { name: 'steak', target: 200, low: 180, high: 230, value: 11 },
    { name: 'tail', target: 120, low: 60, high: 150, value: 5, folded: true },
  ],
  scrap: { valuePerKg: 14 },
}

test('every figure of a part opens to itself, also cut at an angle, folded and as scrap', () => {
  for (const biasAngle of [0, 35]) {
    const tilted = { ...request, piece: { ...request.piece, biasAngle } }
    const { parts } = judgeCuts(tilted, [40, 80, 130, 173, 260, 380])
    expect(new Set(parts.map(({ product }) => product)).size).toBe(3)
    for (const part of parts) {
      const worked = (figure: Parameters<typeof explainPart>[2]) => {
        const explanation = explainPart(tilted, part, figure)
        return explanation && evaluate(explanation.expression)
      }
      expect(worked('weight')).toBeCloseTo(part.weight, 9)
      expect(worked('thickness')).toBeCloseTo(part.thickness, 9)
      expect(worked('first-face')).toBeCloseTo(part.faces[0], 9)
      expect(worked('second-face')).toBeCloseTo(part.faces[1], 9)
      expect(worked('worth')).toBeCloseTo(part.worth, 9)
      expect(worked('given-away') ?? 0).toBeCloseTo(part.givenAway, 9)
    }
  }
})

test('how far off a portion may be opens to itself, with and without portions of the kitchen', () => {
  for (const portions of [
    [],
    [
      { planned: 200, weighed: 214 },
      { planned: 190, weighed: 185 },
    ],
  ]) {
    const off = howFarOff('girths', portions)
    expect(evaluate(explainHowFarOff('girths', portions).expression)).toBeCloseTo(off.share, 12)
    expect(evaluate(explainOff({ weight: 200 }, 'girths', portions).expression)).toBeCloseTo(200 * off.share, 9)
  }
})

const RACK: Rack = { weight: 780, bones: 8, boneWeight: 150, eye: [62, 61, 58, 55, 52, 49, 45, 42] }

test.each(RACK_STYLES)('weights of racks cut %s open to themselves', (style) => {
  const racks = {
    racks: [RACK, { ...RACK, weight: 700 }],
    target: 190,
    low: 150,
    high: 230,
    perPortion: 2,
    style,
  } as const
  const plan = planRacks(racks, solve)
  expect(plan.portions.length).toBeGreaterThan(4)
  for (const portion of plan.portions) {
    expect(evaluate(explainRackWeight(racks, plan, portion).expression)).toBeCloseTo(portion.weight, 6)
    expect(evaluate(explainOffTarget(racks, portion).expression)).toBeCloseTo(portion.weight - 190, 6)
  }
  const [cut] = rackCuts({ bones: 8, length: 208 }, [0, 2.2, 8])
  expect(cut).toMatchObject({ gap: 2, out: expect.closeTo(10.4, 9) })
  expect(evaluate(explainBlade({ bones: 8, length: 208 }, cut as RackCut).expression)).toBeCloseTo(10.4, 9)
  expect(rackCuts({ bones: 8 }, [0, 1.8, 8])[0]?.out).toBeCloseTo(-10, 9)
  const spread = explainSpread(plan.portions.map(({ weight }) => weight))
  expect(spread && evaluate(spread.expression)).toBeCloseTo(plan.spread as number, 9)
  expect(explainSpread([])).toBeNull()
})

test('every figure of a bonded log opens to itself', () => {
  const bonded: BondedRequest = {
    ...request,
    pieces: [request.piece, { ...request.piece, weight: 1390 }],
    costs: { wagePerHour: 24, minutes: 15, film: 0.3 },
  }
  const plan = planBonded(bonded)
  const figures = {
    'enzyme-grams': plan.enzymeGrams,
    cost: plan.cost.total,
    'bonded-value': plan.bonded.value,
    net: plan.net,
    'alone-value': plan.aloneValue,
    'bonded-scrap': plan.bonded.scrap.weight,
    'alone-scrap': plan.aloneScrap,
    gain: plan.gain,
    'extra-portions': plan.extraPortions,
  }
  for (const [figure, worth] of Object.entries(figures)) {
    const explanation = explainBonded(bonded, plan, figure as keyof typeof figures)
    expect(evaluate(explanation.expression)).toBeCloseTo(worth, 9)
  }
})
