import { draft, goodsOf } from '../../../test/plan-kitchen.ts'
import { loadSolver } from '../../../test/solver.ts'
import { evaluate } from '../../explanation/index.ts'
import type { SolveProgramme } from '../../solving/index.ts'
import {
  formatFor,
  leftWords,
  limitWords,
  mendWords,
  orderText,
  planWords,
  provenWords,
  uncutWords,
} from '../../wording/index.ts'
import { type OrderPlan, planFor, planOrders } from '../index.ts'
import { planCostParts } from './explain-plan.ts'
import {
  explainCutMinutes,
  explainCutPortion,
  explainOrder,
  explainPlanCost,
  explainPlanTotal,
  explainReadyPortion,
  explainSaved,
  missing,
  PLAN_COST_PARTS,
  type PlanDraft,
  planLines,
  plannedWork,
  planRequest,
  planTotals,
} from './index.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const lot = {
  lotId: 'l',
  code: 'A',
  itemId: 'chicken',
  supplierId: 'ostravale',
  articleId: null,
  units: 2,
  held: 0,
  useBy: '2026-12-04',
}
const goods = goodsOf({ lots: [lot] })
const format = formatFor('EUR', 'metric')
const say = (day: string) => day.slice(8)

function made(changes: Partial<PlanDraft> = {}) {
  const said = draft(changes)
  const asked = planRequest(said, goods, 'EUR')
  const plan = planOrders(asked.request, solve, { pins: asked.pins, seconds: 10 })
  return { said, asked, plan, lines: planLines(plan, goods, said) }
}
/** Nothing is bought ready: everything is cut. */
const NO_READY = { kind: 'ready', id: 'ready-article', day: null, atLeast: null, atMost: 0 } as const

describe('a plan by ids', () => {
  test('says orders, cutting and what it is for; its work is parted by lot and delivery', () => {
    const { lines, plan, said } = made({ pins: [NO_READY] })
    expect(plan.status).toBe('optimal')
    // Two birds are in the cold; four more come.
    expect(lines.orders).toMatchObject([
      { supplierId: 'ostravale', day: '2026-12-03', lines: [{ packs: 4, units: 4 }] },
    ])
    const units = lines.cutting.reduce((sum, task) => sum + task.units, 0)
    expect(units).toBe(6)
    const work = plannedWork(lines, goods, said)
    expect(work.reduce((sum, plannedWork) => sum + plannedWork.units, 0)).toBe(6)
    expect(work.map(({ lotId }) => lotId)).toContain('l')
    expect(work.map(({ delivery }) => delivery)).toContain('2026-12-03')
    const minutes = work.reduce((sum, plannedWork) => sum + plannedWork.minutes, 0)
    expect(minutes).toBeCloseTo(planTotals(plan, goods, said).minutes, 9)
    // Birds of the lot are paid for already; here they cost what one costs.
    const money = work.reduce((sum, plannedWork) => sum + plannedWork.money, 0)
    expect(money).toBeCloseTo(plan.cost.wholes + 2 * 6 + plan.cost.labour + plan.cost.consumables, 9)
    expect(work.flatMap(({ portions }) => portions).reduce((sum, { quantity }) => sum + quantity, 0)).toBe(12)
  })

  test('each of its money opens to what it is, and they add up', () => {
    for (const { plan, asked, lines } of [made(), made({ pins: [NO_READY] })]) {
      const parts = planCostParts(plan, asked)
      for (const part of PLAN_COST_PARTS) {
        const explained = explainPlanCost(plan, asked, part)
        expect(explained ? evaluate(explained.expression) : 0).toBeCloseTo(parts[part], 9)
      }
      const { surplus, total, ...paid } = parts
      expect(Object.values(paid).reduce((sum, part) => sum + part, 0) - surplus).toBeCloseTo(total, 9)
      // Unpacking what is bought ready is labour, and no price.
      const unpacked = plan.orders.some(({ lines: own }) =>
        own.some(({ name }) => goods.ready.some((ready) => ready.name === name)),
      )
      expect(parts.labour > plan.cost.labour).toBe(unpacked && asked.unpacking.some(({ minutes }) => minutes > 0))
      expect(parts.ready + parts.labour).toBeCloseTo(plan.cost.ready + plan.cost.labour, 9)
      const totals = planTotals(plan, goods, draft())
      const opened = (['minutes', 'thrownKilos', 'short'] as const).map((total) => {
        const explained = explainPlanTotal(plan, total, { goods, draft: draft() })
        return explained ? evaluate(explained.expression) : 0
      })
      expect(opened[0]).toBeCloseTo(totals.minutes, 9)
      expect(opened[1]).toBeCloseTo(totals.thrownKilos * 1000, 6)
      expect(opened[2]).toBeCloseTo(totals.short, 9)
      expect(evaluate(explainSaved('ready', 100, plan).expression)).toBeCloseTo(100 - plan.cost.total, 9)
      for (const order of lines.orders) expect(evaluate(explainOrder(order).expression)).toBeCloseTo(order.money, 9)
      for (const line of lines.cutting) {
        const cut = asked.request.cuts.find(({ name }) => name === line.name)
        if (cut) expect(evaluate(explainCutMinutes(line, cut).expression)).toBeCloseTo(line.minutes, 9)
      }
    }
  })

  test('a portion bought ready stands beside one that is cut here', () => {
    const said = draft()
    const ready = explainReadyPortion('ready-article', goods, said)
    const cut = explainCutPortion('supremes', goods, said)
    expect(evaluate(ready?.expression as never)).toBeGreaterThan(3)
    // The crate is the cheaper bird: 5.50, nine minutes at 30 an hour and bags, less a quarter kilo of drumsticks.
    expect(cut?.perPortion).toBeCloseTo((5.5 + 4.5 + 0.3 - 1) / 2, 9)
    expect(evaluate(cut?.explanation.expression as never)).toBeCloseTo(cut?.perPortion as number, 9)
    expect([explainReadyPortion('x', goods, said), explainCutPortion('x', goods, said)]).toEqual([null, null])
  })
})

describe('what is odd is answered, and nothing hangs', () => {
  const of = (covers: number) => made({ covers: [{ day: '2026-12-04', covers }] })

  test('no covers are no plan to make, and ten thousand are short of what cannot be had', () => {
    expect(of(0).asked.request.demand).toEqual([])
    const { plan, lines } = of(10_000)
    expect(plan.status).not.toBe('refused')
    const served = plan.use.reduce((sum, { quantity }) => sum + quantity, 0)
    const short = lines.short.reduce((sum, { quantity }) => sum + quantity, 0)
    expect(served + short).toBeCloseTo(3000, 4)
  })

  test('a day without hours cuts nothing, and a supplier without days brings nothing', () => {
    const days = ['2026-12-02', '2026-12-03', '2026-12-04', '2026-12-05']
    const idle = made({ hours: days.map((day) => ({ day, hours: 0 })) })
    expect([idle.plan.cutting, idle.plan.short]).toEqual([[], []])
    const deliveries = ['ostravale', 'plattenkar'].flatMap((supplierId) =>
      days.map((day) => ({ supplierId, day, comes: false })),
    )
    const { lines } = made({ deliveries, lotsLeft: goods.stock.map(({ lotId }) => lotId) })
    expect([lines.orders, lines.short.map(({ quantity }) => quantity)]).toEqual([[], [12]])
  })
})

describe('what is left over says why', () => {
  test('beside what is cut, of a whole pack, of whole birds, or from before the plan', () => {
    const why = ({ lines }: ReturnType<typeof made>) =>
      new Map(lines.left.map(({ productId, because }) => [productId, because.join(' ')]))
    const cut = why(made({ pins: [NO_READY] }))
    expect([cut.get('p2'), cut.get('p3')]).toEqual(['beside', 'beside'])
    const bought = made({
      pins: [
        { kind: 'cut', id: 'whole', day: null, atLeast: null, atMost: 0 },
        { kind: 'cut', id: 'crate supremes-style', day: null, atLeast: null, atMost: 0 },
      ],
    })
    expect(why(bought).get('supremes')).toBe('pack')
    // Thirteen portions out of birds that give two.
    const odd = made({
      pins: [NO_READY],
      covers: [],
      portions: [{ productId: 'supremes', day: '2026-12-04', quantity: 13 }],
    })
    expect(why(odd).get('supremes')).toBe('unit')
    const there = made({
      ...{ covers: [], portions: [{ productId: 'supremes', day: '2026-12-04', quantity: 2 }] },
      stock: [{ productId: 'supremes', quantity: 5, useBy: '2026-12-05' }],
    })
    expect(why(there).get('supremes')).toBe('there')
    expect(leftWords(['unit', 'pack'])).toBe('it is cut from whole ones; packs are whole')
  })
})

describe('pins', () => {
  test('of a supplier have others bring it, and of one day leave the other days free', () => {
    const without = (id: string, day: string | null) =>
      ({ kind: 'supplier', id, day, atLeast: null, atMost: 0 }) as const
    const ordered = (pins: ReturnType<typeof without>[]) => {
      const { plan } = made({ pins })
      expect(plan.short).toEqual([])
      return plan.orders.map(({ supplier, day }) => ({ supplier, day }))
    }
    expect(ordered([])[0]?.supplier).toBe('Ostravale Poultry Yard')
    const [other] = ordered([without('ostravale', null)])
    expect(other?.supplier).toBe('Plattenkar Provisions')
    const [later] = ordered([without('ostravale', null), without('plattenkar', other?.day ?? '')])
    expect(later?.supplier).toBe('Plattenkar Provisions')
    expect(later?.day).not.toBe(other?.day)
  })

  const packsOf = ({ orders }: OrderPlan, name: string) =>
    orders.flatMap(({ lines }) => lines).reduce((sum, line) => sum + (line.name === name ? line.packs : 0), 0)

  test('hold what is pinned, also where it costs more, and leave nothing short for it', () => {
    const free = made()
    const held = made({ pins: [{ kind: 'ready', id: 'ready-article', day: null, atLeast: 2, atMost: null }] })
    expect(packsOf(held.plan, 'Supremes, 20 x 280 g')).toBeGreaterThanOrEqual(2)
    expect(held.plan.cost.total).toBeGreaterThan(free.plan.cost.total)
    expect(packsOf(made({ pins: [NO_READY] }).plan, 'Supremes, 20 x 280 g')).toBe(0)
  })

  test('that cannot be held make no plan', () => {
    const { plan } = made({
      pins: [
        { kind: 'cut', id: 'whole supremes-style', day: null, atLeast: null, atMost: 1 },
        { kind: 'cut', id: 'whole', day: null, atLeast: 500, atMost: null },
      ],
    })
    expect(plan.status).toBe('refused')
  })
})

test('other aims: fewest minutes, least thrown away, all bought ready', () => {
  const { asked, plan, said } = made({ pins: [] })
  const of = (aim: 'labour' | 'waste' | 'ready') => {
    const other = planFor(aim, asked.request, solve, { seconds: 10 }) as OrderPlan
    return { cost: other.cost.total, ...planTotals(other, goods, said) }
  }
  const cheapest = planTotals(plan, goods, said)
  expect(of('labour').minutes).toBeLessThanOrEqual(cheapest.minutes)
  expect(of('waste').thrownKilos).toBeLessThanOrEqual(cheapest.thrownKilos + 1e-9)
  // Nothing is cut; what is bought ready is unpacked.
  expect(of('ready').minutes).toBeLessThan(cheapest.minutes)
  for (const aim of ['labour', 'waste', 'ready'] as const)
    expect(of(aim).cost).toBeGreaterThanOrEqual(plan.cost.total - 1e-6)
})

describe('in words', () => {
  test('one sentence says what to buy and what to cut', () => {
    const { lines } = made({ pins: [NO_READY] })
    expect(planWords(lines, format, say)).toMatch(/^Buy 4 × Chicken on 03\. Cut 6 birds on 0[234]/)
    expect(planWords({ ...lines, orders: [], cutting: [] }, format, say)).toBe(
      'Nothing is to be bought and nothing to be cut',
    )
    expect(orderText(lines.orders[0] as never, { kitchen: 'Larch Halt', sayDay: say })).toBe(
      'Ostravale Poultry Yard,\n\nplease deliver on 03:\n4 × Chicken\n\nLarch Halt',
    )
  })

  test('a plan that is told before what stands beside it is the same plan', () => {
    const asked = planRequest(draft(), goods, 'EUR')
    const told: OrderPlan[] = []
    const plan = planOrders(asked.request, solve, { seconds: 10, onPlan: (entry) => told.push(entry) })
    expect(told).toHaveLength(1)
    expect(told[0]?.cost).toEqual(plan.cost)
    expect(told[0]).toMatchObject({ limits: [], beside: { allReady: null, allCut: null } })
  })

  test('nothing is short of nothing', () => {
    const short = [0.004, 0.049, 0.05, 3].map((quantity) => ({ quantity }))
    expect(missing(short).map(({ quantity }) => quantity)).toEqual([0.05, 3])
  })

  test('limits, shortages and how sure it is', () => {
    const limit = {
      limit: 'labour',
      name: null,
      day: '2026-12-03',
      oneMore: '60 minutes',
      saves: 4,
      shorter: 0,
    } as const
    expect(limitWords(limit, format, say)).toBe('One hour more at the board on 03 would save €4.00.')
    expect(
      limitWords({ ...limit, limit: 'minimum', name: 'Yard', day: null, saves: null, shorter: 1 }, format, say),
    ).toBe('Yard without its minimum order would leave less short.')
    expect(mendWords([limit, { ...limit, limit: 'delivery-day', name: 'Yard' }], say)).toBe(
      'an hour more at the board on 03 and a delivery of Yard on 03 would mend it',
    )
    expect(mendWords([], say)).toBe('nothing that can be bought or cut gives it in time')
    expect(provenWords({ status: 'within-gap', gap: 0.012 }, format)).toMatch(
      /^At most 1\.2\s% above the cheapest possible\.$/,
    )
    expect(provenWords({ status: 'within-gap', gap: 0.012 }, format, { seconds: 9.6 })).toMatch(/Looked for 10 s\.$/)
    expect(provenWords({ status: 'optimal', gap: 0 }, format, { seconds: 9 })).toBe('Cheapest possible.')
    // What was made for another aim is not said to be the cheapest.
    expect(provenWords({ status: 'optimal', gap: 0 }, format, { aim: 'waste' })).not.toContain('heapest')
    const over = (units: number, because: 'pack' | 'minimum' | 'there') => ({
      ...{ wholeId: 'x', name: 'Crate of six', units, unitName: { one: 'bird', many: 'birds' }, because },
    })
    expect(uncutWords({ uncut: [over(2, 'pack')] }, format)).toBe(
      '2 birds of Crate of six stay uncut: packs are whole.',
    )
    expect(uncutWords({ uncut: [over(1, 'there'), over(6, 'minimum')] }, format)).toBe(
      '6 birds of Crate of six stay uncut: the order has to reach its minimum. 1 bird of Crate of six stays uncut: it is there already, and nothing asks for it.',
    )
  })
})
