import { evaluate } from '../explanation/index.ts'
import { bondedPiece } from './bonded.ts'
import { explainBonded } from './explain-bonded.ts'
import { pieceFromTemplate, planBonded, shapeOf } from './index.ts'
import type { Piece } from './piece-shape.ts'

const loin = (weight = 1900, length = 450): Piece =>
  pieceFromTemplate(
    {
      stations: [
        { at: 0, girth: 210 },
        { at: 0.3, girth: 250 },
        { at: 0.7, girth: 210 },
        { at: 1, girth: 90 },
      ],
      roundness: 0.75,
      density: 1.06,
    },
    weight,
    length,
  )

test('two pieces head to tail weigh as much as both, and areas add where they lie beside each other', () => {
  const [first, second] = [loin(), loin(1700, 420)]
  const log = bondedPiece([first, second], 150)
  expect(log.length).toBe(570)
  expect(log.weight).toBe(3600)
  const shape = shapeOf(log)
  expect(shape.weightBetween(0, log.length)).toBeCloseTo(3600, 6)
  expect(shape.areaAt(300)).toBeGreaterThan(shapeOf(first).areaAt(300) * 1.3)
  // Where the first lies alone the log is the first.
  expect(shape.areaAt(100)).toBeCloseTo(shapeOf(first).areaAt(100), 6)
})

test('an even log gives portions of one size, with enzyme, film and labour in the sum', () => {
  const products = [{ name: 'steak', target: 220, low: 205, high: 240, minThickness: 20, minFace: 70, value: 12 }]
  const plan = planBonded({
    pieces: [loin(), loin()],
    products,
    scrap: { valuePerKg: 10 },
    costs: { enzymeShare: 0.01, enzymePerKg: 80, film: 0.5, minutes: 30, wagePerHour: 20 },
  })
  expect(plan.extraPortions).toBeGreaterThan(0)
  expect(plan.enzymeGrams).toBeCloseTo(38, 9)
  expect(plan.cost.total).toBeCloseTo(3.04 + 0.5 + 10, 9)
  const alone = plan.alone[0].value + plan.alone[1].value
  expect(plan.gain).toBeCloseTo(plan.bonded.value - plan.cost.total - alone, 9)
  for (const piece of plan.bonded.pieces) expect(piece.weight).toBeLessThanOrEqual(240 + 1e-9)
})

test('a short piece may lie wholly beside a long one, and the log is no longer than that', () => {
  const log = bondedPiece([loin(), loin(700, 200)], 100)
  expect(log.length).toBe(450)
  expect(shapeOf(log).weightBetween(0, 450)).toBeCloseTo(2600, 6)
  expect(shapeOf(log).areaAt(400)).toBeCloseTo(shapeOf(loin()).areaAt(400), 6)
})

test('where the second begins and how far both overlap are one thing', () => {
  const pieces = [loin(), loin(1500, 400)] as const
  const products = [{ name: 'steak', target: 220, low: 205, high: 240, minThickness: 20, minFace: 70, value: 12 }]
  const { offset, overlap, piece } = planBonded({ pieces, products, scrap: { valuePerKg: 10 } })
  expect(piece.length).toBe(Math.max(450, offset + 400))
  expect(overlap).toBe(Math.min(450, offset + 400) - offset)
  expect(overlap).toBeGreaterThanOrEqual(0.3 * 400 - 1)
})

describe('a formed portion at its own price', () => {
  const products = [{ name: 'steak', target: 220, low: 205, high: 240, minThickness: 20, minFace: 70, value: 12 }]
  const request = { pieces: [loin(), loin()], products, scrap: { valuePerKg: 10 } } as const
  const at = (formedShare: number) => planBonded({ ...request, costs: { formedShare } })

  test('a log sold for less is worth less, and both pieces alone are not', () => {
    const [intact, half] = [at(1), at(0.5)]
    expect(half.aloneValue).toBe(intact.aloneValue)
    const scrap = (half.bonded.scrap.weight / 1000) * 10
    expect(half.bonded.value).toBeCloseTo(half.intactValue / 2 + scrap, 9)
    expect(half.gain).toBeLessThan(intact.gain)
  })

  test('at the share at which bonding stops paying the same cuts bring nothing, just above it something', () => {
    const share = at(1).breakEvenShare as number
    expect(share).toBeGreaterThan(0)
    expect(share).toBeLessThan(1)
    const gainOfTheseCuts = (formed: number) => at(1).gain - at(1).intactValue * (1 - formed)
    expect(gainOfTheseCuts(share)).toBeCloseTo(0, 9)
    expect(at(Math.min(1, share + 0.02)).gain).toBeGreaterThan(0)
  })

  test('a log without a portion has no such share', () => {
    const none = products.map((product) => ({ ...product, minFace: 400 }))
    expect(planBonded({ ...request, products: none }).breakEvenShare).toBeNull()
  })

  test.each(['bonded-value', 'net', 'gain', 'break-even-share'] as const)('%s is what its formula gives', (figure) => {
    const asked = { ...request, costs: { formedShare: 0.8, wagePerHour: 20 } }
    const plan = planBonded(asked)
    const shown = {
      'bonded-value': plan.bonded.value,
      net: plan.net,
      gain: plan.gain,
      'break-even-share': plan.breakEvenShare,
    }[figure]
    expect(evaluate(explainBonded(asked, plan, figure).expression)).toBeCloseTo(shown as number, 9)
  })
})
