import fc from 'fast-check'
import cases from '../../cases/order-plan.json'
import { brokenRules } from '../../test/check-plan.ts'
import { loadSolver } from '../../test/solver.ts'
import type { Solved, SolveProgramme } from '../solving/index.ts'
import { countedYield, type OrderPlan, type OrderPlanRequest, planOrders } from './index.ts'
import { orderPlanRequest } from './order-plan.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const read = (said: unknown): OrderPlanRequest => orderPlanRequest.parse(said)
const countedIn = (request: OrderPlanRequest) => (cut: string, product: string) => {
  const given = request.cuts.find((other) => other.name === cut)?.yields.find((other) => other.product === product)
  return given ? countedYield(given, request.service) : 0
}
const rulesBroken = (request: OrderPlanRequest, plan: OrderPlan) => brokenRules(request, plan, countedIn(request))
const shortageOf = ({ demand }: OrderPlanRequest, { short }: OrderPlan) =>
  short.reduce((sum, { product, day, quantity }) => {
    const asked = demand.reduce(
      (all, line) => all + (line.product === product && line.day === day ? line.quantity : 0),
      0,
    )
    return sum + quantity / asked
  }, 0)

test.each(cases.map((testCase) => [testCase.name, testCase] as const))(
  '%s: the least shortage and the least cost',
  (_name, entry) => {
    const request = read(entry.input)
    const plan = planOrders(request, solve)
    expect(plan.status).toBe('optimal')
    expect(shortageOf(request, plan)).toBeCloseTo(entry.expect.short, 5)
    expect(Math.abs(plan.cost.total / entry.expect.cost - 1)).toBeLessThan(1e-6)
    expect(rulesBroken(request, plan)).toEqual([])
    const { wholes, ready, delivery, labour, consumables, disposal, surplus, total } = plan.cost
    expect(total).toBeCloseTo(wholes + ready + delivery + labour + consumables + disposal - surplus, 9)
    // What is loosened is never worse, and says whose fault a shortage is.
    for (const { saves, shorter } of plan.limits) expect((saves ?? 0) + shorter).toBeGreaterThan(0)
    for (const { because } of plan.short) expect(because.length).toBeGreaterThan(0)
  },
)

/** A little kitchen of one bird and one ready good. */
const little = (changes: Partial<Record<keyof OrderPlanRequest, unknown>> = {}): OrderPlanRequest =>
  read({
    format: 'fleam/order-plan',
    version: 1,
    currency: 'EUR',
    days: ['2026-12-03', '2026-12-04'],
    products: [
      { name: 'supreme', unit: 'portion', keepsDays: 2, cold: 1, surplusValue: 0.5, surplusUpTo: 3, disposal: 0.1 },
      { name: 'bones', unit: 'kg', keepsDays: 3, disposal: 0.2 },
    ],
    demand: [{ product: 'supreme', day: '2026-12-04', quantity: 14 }],
    suppliers: [
      { name: 'yard', delivers: ['2026-12-03'], charge: 6, minimum: 20 },
      { name: 'house', delivers: ['2026-12-04'] },
    ],
    wholes: [{ name: 'chicken', supplier: 'yard', pack: 3, price: 18, keepsDays: 2, cold: 2, mostPacks: 4 }],
    cuts: [
      {
        name: 'supremes',
        whole: 'chicken',
        minutes: 9,
        setUp: 5,
        consumables: 0.2,
        yields: [
          { product: 'supreme', quantity: 2, sd: 0.1, tests: 6 },
          { product: 'bones', quantity: 0.6 },
        ],
      },
    ],
    ready: [{ name: 'ready supremes', supplier: 'house', product: 'supreme', quantity: 5, price: 24, mostPacks: 3 }],
    labour: { ratePerHour: 20, hours: [2, 1] },
    ...changes,
  })

/** Another search in place of the solver's, by the same clock. */
const inItsPlace = (search: (...asked: Parameters<SolveProgramme>) => Solved): SolveProgramme =>
  Object.assign(search, { nowMs: solve.nowMs })

/** A search that finds foolish plans alone: first the dearest that is not short, then it hands back what it was given. */
function foolish(): SolveProgramme {
  let calls = 0
  return inItsPlace((programme, options) => {
    calls += 1
    if (calls === 1) {
      const least = solve(programme, options)
      const row = programme.row(
        options.costs.flatMap((cost, index) => (cost === 0 ? [] : [[index, cost] as const])),
        Number.NEGATIVE_INFINITY,
        least.best + 1e-7,
      )
      const dearest = solve(programme, { ...options, costs: programme.isWhole.map((whole) => (whole ? -1 : 0)) })
      programme.rows.splice(row, 1)
      return { ...least, values: dearest.values }
    }
    if (calls === 2) return { values: options.start ?? null, isProven: false, best: 1e6, bound: 0, gap: 1, nodes: 0 }
    return solve(programme, options)
  })
}

test('a search that ends too soon answers no worse than all ready, and buys nothing that it does not use', () => {
  const plan = planOrders(little(), foolish())
  const best = planOrders(little(), solve)
  const ready = best.beside.allReady as number
  expect(plan.status).toBe('within-gap')
  expect(plan.cost.total).toBeLessThanOrEqual(ready + 1e-9)
  expect(plan.uncut).toEqual([])
  expect(plan.short).toEqual([])
  expect(rulesBroken(little(), plan)).toEqual([])
  expect(plan.gap).toBeCloseTo((plan.cost.total - plan.bound) / plan.cost.total, 9)
})

/** A search that ends with everything short, before that is proven; whatever is asked afterwards it answers. */
function hasty(): SolveProgramme {
  let calls = 0
  return inItsPlace((programme, options) => {
    calls += 1
    if (calls > 1) return solve(programme, options)
    const most = solve(programme, { ...options, costs: options.costs.map((cost) => -cost) })
    return { ...most, best: -most.best, bound: 0, isProven: false, gap: 1 }
  })
}

test('a search for the least shortage that ends too soon leaves no more short than all ready', () => {
  const plan = planOrders(little(), hasty())
  expect(plan.short).toEqual([])
  expect(plan.status).toBe('optimal')
  expect(plan.cost.total).toBeCloseTo(planOrders(little(), solve).cost.total, 6)
})

test('on a machine that hears late that its time is over, plain plans end after twice their time', () => {
  let now = 0
  let calls = 0
  const slow: SolveProgramme = Object.assign(
    (...[programme, options]: Parameters<SolveProgramme>) => {
      calls += 1
      // Seven times as long as it was given; the search for money proves nothing.
      now += options.seconds * 7000
      const solved = solve(programme, options)
      return calls === 2 ? { ...solved, isProven: false, bound: 0 } : solved
    },
    { nowMs: () => now },
  )
  const plan = planOrders(mixed(), slow, { seconds: 10 })
  expect(plan.status).toBe('within-gap')
  // The search for shortage and for money, and of the plain plans those that began in time; nothing beside it.
  expect(calls).toBeLessThanOrEqual(5)
  expect(now).toBeLessThan(80_000)
})

test('where less may be short than was found, nobody says how far the cost is above the least', () => {
  // Ready goods serve four of fourteen: how many more could be cut here the search did not come to see.
  const request = little({
    ready: [{ name: 'ready supremes', supplier: 'house', product: 'supreme', quantity: 4, price: 24, mostPacks: 1 }],
  })
  const plan = planOrders(request, hasty())
  expect(plan).toMatchObject({ status: 'within-gap', gap: 1 })
  expect(plan.short.map(({ product }) => product)).toEqual(['supreme'])
  expect(plan.short[0]?.quantity).toBeCloseTo(10, 4)
  expect(rulesBroken(request, plan)).toEqual([])
  expect(planOrders(request, solve).short).toEqual([])
})

/** Two products: one is far cheaper cut here, the other far cheaper ready. */
function mixed(): OrderPlanRequest {
  const one = little()
  const [whole, cut, ready] = [one.wholes[0], one.cuts[0], one.ready[0]]
  if (!whole || !cut || !ready) throw new Error('The little plan has one of each')
  return {
    ...one,
    products: [...one.products, { ...(one.products[0] as OrderPlanRequest['products'][number]), name: 'leg' }],
    demand: [...one.demand, { ...(one.demand[0] as OrderPlanRequest['demand'][number]), product: 'leg' }],
    wholes: [whole, { ...whole, name: 'dear bird', price: 900 }],
    cuts: [
      cut,
      {
        ...cut,
        name: 'legs',
        whole: 'dear bird',
        yields: [{ product: 'leg', quantity: 2, sd: 0, tests: 0, df: null }],
      },
    ],
    ready: [
      { ...ready, price: 900, mostPacks: 100 },
      { ...ready, name: 'ready legs', product: 'leg', price: 1, mostPacks: 100 },
    ],
  }
}

test('a search that ends too soon answers no worse than cutting or buying product by product, or as before', () => {
  const [plan, best] = [planOrders(mixed(), foolish()), planOrders(mixed(), solve)]
  expect(best.status).toBe('optimal')
  expect(best.cost.total).toBeLessThan(best.beside.allReady ?? Number.POSITIVE_INFINITY)
  expect(plan.cost.total).toBeCloseTo(best.cost.total, 6)
  const usual = { cuts: best.cutting.map(({ cut }) => cut), ready: ['ready legs'] }
  expect(planOrders(mixed(), foolish(), { usual }).cost.total).toBeCloseTo(best.cost.total, 6)
})

/** The best of every way to do it: packs of both goods and units on both days; serving is the same for all. */
function bestByTrying(request: OrderPlanRequest): [short: number, cost: number] {
  const counted = countedIn(request)('supremes', 'supreme')
  const bones = countedIn(request)('supremes', 'bones')
  const asked = request.demand.reduce((sum, { quantity }) => sum + quantity, 0)
  let best: [number, number] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY]
  for (let packs = 0; packs <= 4; packs++) {
    if (packs > 0 && packs * 18 < 20) continue
    for (let first = 0; first <= packs * 3; first++) {
      for (let second = 0; second <= packs * 3 - first; second++) {
        const minutes = [first, second].map((units) => units * 9 + (units > 0 ? 5 : 0))
        if (minutes.some((minute, index) => minute > (request.labour.hours[index] ?? 0) * 60)) continue
        for (let ready = 0; ready <= 3; ready++) {
          const there = (first + second) * counted + ready * 5
          const short = Math.max(0, asked - there) / asked
          const left = Math.max(0, there - asked)
          const cost =
            packs * 18 +
            (packs > 0 ? 6 : 0) +
            ready * 24 +
            ((minutes[0] ?? 0) + (minutes[1] ?? 0)) / 3 +
            (first + second) * 0.2 +
            Math.max(0, left - 3) * 0.1 -
            Math.min(left, 3) * 0.5 +
            (first + second) * bones * 0.2
          if (short < best[0] - 1e-9 || (Math.abs(short - best[0]) < 1e-9 && cost < best[1])) best = [short, cost]
        }
      }
    }
  }
  return best
}

test.each([0.5, 0.9])('a little one is as good as trying every way, at service %d', (service) => {
  for (const quantity of [1, 5, 14, 23, 60]) {
    const request = little({ service, demand: [{ product: 'supreme', day: '2026-12-04', quantity }] })
    const plan = planOrders(request, solve)
    const [short, cost] = bestByTrying(request)
    expect(shortageOf(request, plan)).toBeCloseTo(short, 6)
    expect(plan.cost.total).toBeCloseTo(cost, 5)
  }
})

const kitchen = fc.record({
  quantity: fc.integer({ min: 1, max: 40 }),
  hours: fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 })),
  cold: fc.option(fc.integer({ min: 5, max: 60 })),
  charge: fc.integer({ min: 0, max: 20 }),
  stock: fc.integer({ min: 0, max: 8 }),
  useBy: fc.constantFrom('2026-12-02', '2026-12-03', '2026-12-05'),
  early: fc.boolean(),
})
type Kitchen = typeof kitchen extends fc.Arbitrary<infer T> ? T : never
const requestOf = ({ quantity, hours, cold, charge, stock, useBy, early }: Kitchen) =>
  little({
    demand: [
      { product: 'supreme', day: '2026-12-04', quantity },
      { product: 'supreme', day: '2026-12-03', quantity: early ? 4 : 0 },
    ],
    labour: { ratePerHour: 20, hours },
    coldSpace: cold,
    suppliers: [
      { name: 'yard', delivers: ['2026-12-03'], charge, minimum: 20 },
      { name: 'house', delivers: ['2026-12-04'] },
    ],
    stock: [{ product: 'supreme', quantity: stock, useBy }],
  })

test('plans keep every rule; more hours, cold or days of delivery are never worse; a demand may come in two lines', () => {
  fc.assert(
    fc.property(kitchen, (said) => {
      const request = requestOf(said)
      const plan = planOrders(request, solve, { seconds: 4 })
      // What is in stock takes more than the cold has, whatever is done: nothing can be planned.
      if (plan.status === 'refused') {
        expect(said.stock).toBeGreaterThan(said.cold ?? 0)
        return
      }
      expect(rulesBroken(request, plan)).toEqual([])
      const isNoWorse = (more: OrderPlanRequest) => {
        const other = planOrders(more, solve, { seconds: 4 })
        const [before, after] = [shortageOf(request, plan), shortageOf(more, other)]
        expect(after).toBeLessThanOrEqual(before + 1e-6)
        if (Math.abs(after - before) < 1e-6) expect(other.cost.total).toBeLessThanOrEqual(plan.cost.total + 1e-4)
      }
      isNoWorse({ ...request, labour: { ...request.labour, hours: request.labour.hours.map((hours) => hours + 1) } })
      isNoWorse({ ...request, coldSpace: null })
      isNoWorse({
        ...request,
        suppliers: request.suppliers.map((supplier) => ({ ...supplier, delivers: request.days })),
      })
      const [first, ...rest] = request.demand as [OrderPlanRequest['demand'][number]]
      const halves = [
        { ...first, quantity: first.quantity / 2 },
        { ...first, quantity: first.quantity / 2 },
      ]
      const split = planOrders({ ...request, demand: [...halves, ...rest] }, solve, { seconds: 4 })
      expect(split.cost.total).toBeCloseTo(plan.cost.total, 4)
    }),
    { numRuns: 10 },
  )
})

describe('service', () => {
  test('at the mean costs no premium; a higher one costs one, and is met in the draws', () => {
    const mean = planOrders(little(), solve)
    expect(mean.service).toMatchObject({ asked: 0.5, premium: 0, draws: 10_000 })
    const request = little({ service: 0.95, labour: { ratePerHour: 20, hours: [3, 3] } })
    const safe = planOrders(request, solve)
    expect(safe.service.premium).toBeGreaterThanOrEqual(-1e-6)
    expect(safe.service.met).toBeGreaterThan(0.9)
    expect(planOrders(request, solve).service).toEqual(safe.service)
  })

  test('what one more record gives at least, by Student’s t', () => {
    const given = { product: 'supreme', quantity: 2, sd: 0.1, tests: 4, df: null }
    // t of 0.95 with 3 degrees of freedom is 2.3534.
    expect(countedYield(given, 0.95)).toBeCloseTo(2 - 2.3534 * 0.1 * Math.sqrt(1.25), 4)
    expect(countedYield({ ...given, df: 30 }, 0.95)).toBeGreaterThan(countedYield(given, 0.95))
    expect(countedYield(given, 0.5)).toBe(2)
    expect(countedYield({ ...given, tests: 1 }, 0.95)).toBe(2)
    expect(countedYield({ ...given, sd: 9 }, 0.95)).toBe(0)
  })
})

test('a demand nobody can serve is no error: what is short, by how much, and what would mend it', () => {
  const none = planOrders(
    little({
      suppliers: [
        { name: 'yard', delivers: [] },
        { name: 'house', delivers: [] },
      ],
    }),
    solve,
  )
  expect(none).toMatchObject({ status: 'optimal', orders: [], cutting: [], cost: { total: 0 } })
  expect(none.short).toEqual([
    {
      product: 'supreme',
      day: '2026-12-04',
      quantity: 14,
      because: expect.arrayContaining([expect.stringMatching(/^delivery-day (yard|house) 2026-12-0[34]$/)]),
    },
  ])
  const lazy = planOrders(little({ labour: { ratePerHour: 20, hours: [0, 0] }, ready: [] }), solve)
  expect(lazy.short[0]?.because).toEqual(['labour 2026-12-03', 'labour 2026-12-04'])
  expect(lazy.beside).toEqual({ allReady: 0, allCut: 0 })
})

test('what is bought and not cut is named', () => {
  const plan = planOrders(
    little({ demand: [{ product: 'supreme', day: '2026-12-04', quantity: 4 }], ready: [] }),
    solve,
  )
  expect(plan.cutting).toMatchObject([{ units: 2 }])
  expect(plan.uncut).toEqual([{ whole: 'chicken', source: { kind: 'delivery', day: '2026-12-03' }, units: 4 }])
})
