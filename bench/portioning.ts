import { type PlatingRequest, platePieces } from '@fleam/core/plating'
import { type PortionRequest, planPortions, shapeOf } from '@fleam/core/portioning'
import { solveWith } from '@fleam/core/solving'
import { randomLcg, randomNormal } from 'd3-random'
import loadHighs from 'highs'
import { quantile, report } from './report.ts'

const RUNS = 20

/** A loin of 600 mm with six products, two of them capped. */
const longLoin = (): PortionRequest => ({
  piece: {
    weight: 2900,
    length: 600,
    profile: [
      { at: 0, girth: 210 },
      { at: 90, girth: 275 },
      { at: 260, girth: 290 },
      { at: 430, girth: 235 },
      { at: 540, girth: 160 },
      { at: 600, girth: 80 },
    ],
  },
  products: [
    { name: 'large steak', target: 260, low: 245, high: 275, minThickness: 25, minFace: 60, value: 15, max: 4 },
    { name: 'steak', target: 200, low: 188, high: 212, minThickness: 22, minFace: 55, value: 11 },
    { name: 'small steak', target: 150, low: 140, high: 160, minThickness: 20, minFace: 50, value: 7.4 },
    { name: 'medallion', target: 90, low: 80, high: 105, minThickness: 18, minFace: 38, value: 3.9 },
    { name: 'tournedos', target: 120, low: 112, high: 128, minThickness: 20, minFace: 45, value: 5.6 },
    { name: 'roast', target: 600, low: 450, high: 800, minThickness: 90, value: 31, max: 1 },
  ],
  scrap: { valuePerKg: 14 },
})

function timed(run: () => void, runs = RUNS): number[] {
  return Array.from({ length: runs }, () => {
    const start = performance.now()
    run()
    return performance.now() - start
  })
}

/** What the piece could bring at most if it could be parted anywhere into the dearest gram: no plan beats it. */
function fractionalBest({ piece, products, scrap }: PortionRequest): number {
  const perGram = Math.max(
    scrap.valuePerKg / 1000,
    ...products.map(({ value, low, target }) => value / Math.max(low, target)),
  )
  return shapeOf(piece).weight * perGram
}

function many(count: number, needs: PlatingRequest['plate']['needs'], plate: [number, number, number]): PlatingRequest {
  const weight = randomNormal.source(randomLcg(0.3))(110, 14)
  const pieces = Array.from({ length: count }, (_, index) => ({
    id: `p${index}`,
    weight: Math.round(weight()),
    kind: index % 2 === 0 ? 'dark' : 'white',
  }))
  const [low, target, high] = plate
  return { pieces, plate: { low, target, high, needs } }
}

/** Plans of cuts and plates: how long they take, and how near they come to a bound that nothing can beat. */
export async function benchPortioning(): Promise<void> {
  const request = longLoin()
  timed(() => planPortions(request), 3)
  const times = timed(() => planPortions(request))
  const bound = fractionalBest(request)
  const { value } = planPortions(request)
  report(
    '600 mm, six products, two capped, p95 of 20',
    `${quantile(times, 0.95).toFixed(0)} ms, worth ${value.toFixed(2)}`,
    `fractional bound ${bound.toFixed(2)}`,
    value / bound,
    'aim: under 200 ms',
  )
  const solve = solveWith(await loadHighs(), () => performance.now())
  const sets = [
    ['60 pieces, two of any', many(60, [{ kind: 'any', count: 2 }], [205, 220, 238]), 'aim: exact, under 1 s'],
    ['60 pieces, three of any', many(60, [{ kind: 'any', count: 3 }], [307, 330, 356]), 'aim: exact, under 1 s'],
    [
      '60 pieces, a dark and a white one',
      many(
        60,
        [
          { kind: 'dark', count: 1 },
          { kind: 'white', count: 1 },
        ],
        [205, 220, 238],
      ),
      'aim: exact, under 1 s',
    ],
    ['300 pieces, three of any', many(300, [{ kind: 'any', count: 3 }], [307, 330, 356]), 'aim: within 2 % in 5 s'],
  ] as const
  for (const [name, plating, aim] of sets) {
    const [time] = timed(() => platePieces(plating, solve), 1)
    const answer = platePieces(plating, solve)
    const size = plating.plate.needs.reduce((sum, need) => sum + need.count, 0)
    const most = Math.floor(plating.pieces.length / size)
    report(
      name,
      `${(time as number).toFixed(0)} ms, gap ${(answer.gap * 100).toFixed(2)} %`,
      `${answer.plates.length} plates of at most ${most}`,
      answer.plates.length / most,
      aim,
    )
  }
}
