import fc from 'fast-check'
import { draft, goodsOf } from '../../../test/plan-kitchen.ts'
import { loadSolver } from '../../../test/solver.ts'
import { addDays } from '../../calendar/index.ts'
import { planOrders } from '../plan-orders.ts'
import type { GoodsComing } from './goods.ts'
import { lessOn, type MadePortions, planLines, plannedWork, planRequest, restOfPlan } from './index.ts'

const goods = goodsOf()
const day = (at: number) => addDays('2026-12-02', at)
const asked = [12, 8, 20, 5]
const whole = draft({
  covers: [],
  portions: asked.map((quantity, index) => ({ productId: 'supremes', day: day(index), quantity })),
})
const rest = (made: readonly MadePortions[], at: number) =>
  restOfPlan({ id: 'the week', draft: whole, goods, made }, day(at))

test('what is left asks for what is still to be served, from the day on which it is planned', () => {
  expect(rest([], 2)).toMatchObject({
    ...{ from: day(2), days: 2, replaces: 'the week', stock: [] },
    portions: [{ quantity: 20 }, { quantity: 5 }],
  })
  // Before it began all of it is left; after its last day one day is.
  expect(rest([], -3)).toMatchObject({ from: day(0), days: 4 })
  expect(rest([], 9).days).toBe(1)
})

test('portions that are there are what was made less what was served, the shortest kept first, none that is over', () => {
  const keeps = goods.products.find(({ id }) => id === 'supremes')?.keepsDays.value ?? 0
  const batch = fc.record({ at: fc.integer({ min: 0, max: 3 }), quantity: fc.integer({ min: 0, max: 30 }) })
  fc.assert(
    fc.property(fc.array(batch, { maxLength: 5 }), fc.integer({ min: 0, max: 3 }), (batches, today) => {
      const made = batches
        .filter(({ at }) => at <= today)
        .map(({ at, quantity }) => ({ productId: 'supremes', day: day(at), quantity }))
      const { stock } = rest(made, today)
      const there = stock.reduce((sum, { quantity }) => sum + quantity, 0)
      const all = made.reduce((sum, { quantity }) => sum + quantity, 0)
      const served = asked.slice(0, today).reduce((sum, quantity) => sum + quantity, 0)
      expect(there).toBeLessThanOrEqual(all)
      expect(there).toBeGreaterThanOrEqual(Math.max(0, all - served) - lostBy(made, today, keeps))
      expect(stock.every(({ useBy, quantity }) => useBy >= day(today) && quantity > 0)).toBe(true)
      if (today === 0) expect(there).toBe(all)
    }),
  )
})

/** Portions that may have gone bad by then, at the most. */
const lostBy = (made: readonly MadePortions[], today: number, keeps: number) =>
  made.reduce((sum, own) => (addDays(own.day, keeps - 1) < day(today) ? sum + own.quantity : sum), 0)

test('what is pinned to none stays so, other pins are let go', () => {
  const none = { kind: 'ready' as const, id: 'ready', day: null, atLeast: null, atMost: 0 }
  const pinned = {
    ...whole,
    pins: [none, { kind: 'whole' as const, id: 'crate', day: null, atLeast: 2, atMost: null }],
  }
  expect(restOfPlan({ id: 'x', draft: pinned, goods, made: [] }, day(1)).pins).toEqual([none])
})

describe('what is on its way', () => {
  const crate = goods.wholes[0]
  const line: GoodsComing = {
    ...{ expectedLineId: 'line', kind: 'whole', articleId: crate?.id ?? '', name: crate?.name ?? '', supplier: 'Yard' },
    ...{ day: day(1), packs: 6, units: 6 * (crate?.pack ?? 0) },
  }
  const coming = { ...goods, coming: [line] }
  const asked = draft({ covers: [], portions: [{ productId: 'supremes', day: day(2), quantity: 12 }] })
  const planned = async (changes: Partial<typeof asked> = {}) => {
    const of = { ...asked, ...changes }
    const { request } = planRequest(of, coming, 'EUR')
    const answer = planOrders(request, await loadSolver(), { seconds: 5 })
    return { request, answer, work: plannedWork(planLines(answer, coming, of), coming, of) }
  }

  test('is cut from the day on which it comes, costs nothing more, and its work waits for that line', async () => {
    const { request, answer, work } = await planned()
    expect(request.stock).toMatchObject([{ quantity: line.units, from: day(1) }])
    expect(answer.short).toEqual([])
    expect(answer.orders).toEqual([])
    expect(answer.cost.wholes + answer.cost.ready + answer.cost.delivery).toBe(0)
    expect(answer.cutting.every((own) => own.day >= day(1))).toBe(true)
    expect(work.length).toBeGreaterThan(0)
    expect(work.every(({ expectedLineId, lotId }) => expectedLineId === 'line' && lotId === null)).toBe(true)
  })

  test('later, less or not at all, it is there later, less or not at all', async () => {
    const stockOf = async (said: { day: string | null; packs: number }) =>
      (await planned({ coming: [{ expectedLineId: 'line', ...said }] })).request.stock
    expect(await stockOf({ day: day(2), packs: 1 })).toMatchObject([{ quantity: crate?.pack, from: day(2) }])
    expect(await stockOf({ day: null, packs: 6 })).toEqual([])
    expect(await stockOf({ day: day(1), packs: 0 })).toEqual([])
    const late = await planned({ coming: [{ expectedLineId: 'line', day: day(3), packs: 6 }] })
    // It comes after it was wanted: something else is bought, or it is short.
    expect(late.work.every(({ expectedLineId }) => expectedLineId === null)).toBe(true)
  })
})

test('of a day that is too full less is planned, in quarters of an hour; other days stay as they are said', () => {
  const line = { cut: 'supremes', units: 1, from: [] }
  const cutting = [
    { ...line, day: day(0), minutes: 100 },
    { ...line, day: day(0), minutes: 20 },
    { ...line, day: day(1), minutes: 600 },
  ]
  expect(
    lessOn(
      [
        { day: day(1), hours: 9 },
        { day: day(0), hours: 3 },
      ],
      day(0),
      { cutting },
    ),
  ).toEqual([
    { day: day(1), hours: 9 },
    { day: day(0), hours: 1.5 },
  ])
})
