import fc from 'fast-check'
import { draft, goodsOf, kitchen } from '../../../test/plan-kitchen.ts'
import { demandOf, draftLater, hoursOn, kilosByDay, type PlanDraft, planRequest, rateOf } from './index.ts'

const goods = goodsOf()
const requestOf = (changes: Partial<PlanDraft> = {}) => planRequest(draft(changes), goods, 'EUR').request

describe('demand', () => {
  test('is covers times share, raised to a whole portion; portions that are said stand instead', () => {
    expect(requestOf().demand).toEqual([{ product: 'Chicken: supremes', day: '2026-12-04', quantity: 12 }])
    const said = [{ productId: 'supremes', day: '2026-12-03', quantity: 7 }]
    expect(requestOf({ portions: said }).demand.map(({ quantity }) => quantity)).toEqual([7, 12])
    expect(requestOf({ portions: [{ productId: 'supremes', day: '2026-12-04', quantity: 0 }] }).demand).toEqual([])
  })

  test('is never below covers times share, nor a portion above it', () => {
    const covers = fc.integer({ min: 0, max: 500 })
    fc.assert(
      fc.property(covers, fc.double({ min: 0, max: 1, noNaN: true }), (count, share) => {
        const of = draft({ covers: [{ day: '2026-12-04', covers: count }], menu: [{ productId: 'supremes', share }] })
        const [, , asked] = demandOf(of)
        expect(asked?.quantity).toBeGreaterThanOrEqual(count * share - 1e-6)
        expect(asked?.quantity).toBeLessThan(count * share + 1)
      }),
      { seed: 17, numRuns: 200 },
    )
  })
})

describe('what the plan rests on', () => {
  test('suppliers come on their days of the week, or on any; this plan may say otherwise', () => {
    const comes = (changes: Partial<PlanDraft> = {}) => requestOf(changes).suppliers.map(({ delivers }) => delivers)
    // Nobody comes after the last day that is served.
    expect(comes()).toEqual([['2026-12-03'], ['2026-12-02', '2026-12-03', '2026-12-04']])
    const deliveries = [
      { supplierId: 'ostravale', day: '2026-12-03', comes: false },
      { supplierId: 'ostravale', day: '2026-12-02', comes: true },
    ]
    expect(comes({ deliveries })[0]).toEqual(['2026-12-02'])
  })

  test('hours are the cooks’ week, one cook’s day where nobody says, and what is said for this plan', () => {
    expect(requestOf().labour).toEqual({ ratePerHour: 30, hours: [2, 4, 4, 0] })
    expect(requestOf({ hours: [{ day: '2026-12-03', hours: 1 }] }).labour.hours).toEqual([2, 1, 4, 0])
    expect(hoursOn({ ...goodsOf(), cooks: [{ name: 'Bruno', wagePerHour: 20, hours: null }] }, '2026-12-03')).toEqual({
      value: 8,
      source: 'assumed',
    })
    // Half an hour of it is another plan's, and an hour is all that was said for this one.
    const held = { plans: ['The week'], minutes: [{ day: '2026-12-03', minutes: 30 }], kilos: [] }
    const hoursOf = (changes: Partial<PlanDraft> = {}) =>
      planRequest(draft(changes), { ...goodsOf(), held }, 'EUR').request.labour.hours
    expect(hoursOf()).toEqual([2, 3.5, 4, 0])
    expect(hoursOf({ hours: [{ day: '2026-12-03', hours: 1 }] })[1]).toBe(1)
    expect(rateOf({ cooks: [], wagePerHour: 20 })).toBe(20)
    const two = [
      { name: 'A', wagePerHour: 20, hours: [3, 0, 0, 0, 0, 0, 0] },
      { name: 'B', wagePerHour: 30, hours: [1, 0, 0, 0, 0, 0, 0] },
    ]
    expect(rateOf({ cooks: two, wagePerHour: 1 })).toBe(22.5)
  })

  test('unpacking what is bought ready is paid with the pack', () => {
    const [ready] = requestOf().ready
    const { price, handling } = goods.ready[0] ?? { price: { value: 0 }, handling: { value: 0 } }
    expect(ready?.price).toBeCloseTo(price.value + handling.value * 0.5, 12)
  })

  test('a value that is said for this plan stands instead, and only there', () => {
    const change = {
      kind: 'cut',
      id: 'crate supremes-style',
      day: null,
      productId: null,
      field: 'minutes',
      value: 5,
    } as const
    expect(requestOf({ changes: [change] }).cuts.map(({ minutes }) => minutes)).toEqual([9, 5])
    const gives = {
      kind: 'yield',
      id: 'crate supremes-style',
      productId: 'supremes',
      field: 'quantity',
      value: 1.5,
    } as const
    expect(requestOf({ changes: [gives] }).cuts[1]?.yields[0]?.quantity).toBe(1.5)
  })

  test('what is over beside the portions is worth something only as far as they ask for it', () => {
    const over = requestOf().products.map(({ name, surplusUpTo }) => [name, surplusUpTo])
    // Twelve portions are six birds: 1.5 kg of drumsticks and 7.2 kg of bones, doubled for what packs add.
    expect(over).toEqual([
      ['Chicken: supremes', 0],
      ['Chicken, eviscerated: drumsticks', 4],
      ['Chicken, eviscerated: bones', 16],
      ['Chicken, eviscerated: bin', 0],
    ])
  })

  test('portions that are there come before lots, in the order in which they are said; a lot may be left alone', () => {
    const lot = {
      lotId: 'l',
      code: 'A',
      itemId: 'chicken',
      supplierId: 'ostravale',
      articleId: null,
      units: 4,
      held: 0,
      useBy: '2026-12-04',
    }
    const withLot = goodsOf({ lots: [lot] })
    const stock = [{ productId: 'supremes', quantity: 3, useBy: '2026-12-04' }]
    const of = (changes: Partial<PlanDraft>) => planRequest(draft({ stock, ...changes }), withLot, 'EUR').request.stock
    expect(of({})).toEqual([
      { product: 'Chicken: supremes', whole: null, quantity: 3, useBy: '2026-12-04' },
      { product: null, whole: 'Chicken', quantity: 4, useBy: '2026-12-04' },
    ])
    expect(of({ lotsLeft: ['l'] })).toHaveLength(1)
  })

  test('what is over is worth something as far as the kitchen uses it in a week', () => {
    const goods = goodsOf({ ways: kitchen().ways.map((way) => ({ ...way, mostPerWeek: 40_000 })) })
    const upTo = (changes: Partial<PlanDraft>, of = goods) =>
      planRequest(draft(changes), of, 'EUR').request.products.find(({ name }) => name.endsWith('drumsticks'))
        ?.surplusUpTo
    expect(upTo({})).toBe(5)
    expect(upTo({ days: 14 })).toBe(10)
    const change = { kind: 'product', id: 'p2', productId: null, field: 'usedPerWeek', value: 2 } as const
    expect(upTo({ changes: [change] })).toBe(2)
    // Where nobody knows, as much as comes of all that is asked for, twice.
    expect(upTo({}, goodsOf())).toBe(4)
  })

  test('of the cooks’ hours only what is cutting is there to be planned, less what other plans take of it', () => {
    const held = { plans: ['The week'], minutes: [{ day: '2026-12-03', minutes: 30 }], kilos: [] }
    const goods = { ...goodsOf(), boardShare: { value: 0.75, schedules: 4 }, held }
    expect(planRequest(draft(), goods, 'EUR').request.labour.hours).toEqual([1.5, 2.5, 3, 0])
    // What was said for this plan is said of cutting.
    const hours = [{ day: '2026-12-03', hours: 4 }]
    expect(planRequest(draft({ hours }), goods, 'EUR').request.labour.hours[1]).toBe(4)
  })

  test('pins go by name, and one of something that is not there any more holds nothing', () => {
    const pins = [
      { kind: 'ready', id: 'ready-article', day: null, atLeast: null, atMost: 0 },
      { kind: 'cut', id: 'gone', day: null, atLeast: 2, atMost: null },
    ] as const
    expect(planRequest(draft({ pins }), goods, 'EUR').pins).toEqual([
      { kind: 'ready', name: 'Supremes, 20 x 280 g', day: null, atLeast: null, atMost: 0 },
    ])
    // Of a supplier everything that it brings is forbidden, on one day where that is said.
    const gone = [{ kind: 'supplier', id: 'plattenkar', day: '2026-12-03', atLeast: null, atMost: 0 }] as const
    expect(planRequest(draft({ pins: gone }), goods, 'EUR').pins).toEqual([
      { kind: 'ready', name: 'Supremes, 20 x 280 g', day: '2026-12-03', atLeast: null, atMost: 0 },
    ])
  })
})

test('the same week again moves with its days, and leaves behind what was there then', () => {
  const later = draftLater(
    draft({
      portions: [{ productId: 'supremes', day: '2026-12-03', quantity: 7 }],
      stock: [{ productId: 'supremes', quantity: 3, useBy: '2026-12-04' }],
    }),
    '2026-12-09',
    7,
  )
  expect(later).toMatchObject({ from: '2026-12-09', covers: [{ day: '2026-12-11', covers: 40 }], stock: [] })
  expect(later.portions[0]?.day).toBe('2026-12-10')
})

test('what stands in the cold for one plan is no room for another', () => {
  const [cut, product] = [goods.cuts[0], goods.products[0]]
  const whole = goods.wholes.find(({ id }) => id === cut?.wholeId)
  if (!cut || !product || !whole) throw new Error('The kitchen of the tests cuts something')
  // Two wait from Wednesday until they are cut on Friday, and three portions of them until Saturday.
  const kilos = kilosByDay({
    draft: draft(),
    goods,
    answer: {
      cutting: [
        {
          ...{ cut: cut.name, day: '2026-12-04', units: 2, minutes: 20 },
          from: [{ kind: 'delivery', day: '2026-12-02', units: 2 }],
        },
      ],
      use: [
        {
          ...{ product: product.name, day: '2026-12-05', quantity: 3 },
          source: { kind: 'cut', cut: cut.name, day: '2026-12-04' },
        },
      ],
    },
  })
  expect(kilos).toEqual([
    { day: '2026-12-02', kilos: 2 * whole.cold.value },
    { day: '2026-12-03', kilos: 2 * whole.cold.value },
    { day: '2026-12-04', kilos: 3 * product.cold.value },
  ])
  const held = { plans: ['The week'], minutes: [], kilos: [{ day: '2026-12-03', kilos: 4 }] }
  const spaceOf = (coldSpace: number | null) =>
    planRequest(draft({ coldSpace }), { ...goods, held }, 'EUR').request.coldSpace
  expect([spaceOf(10), spaceOf(3), spaceOf(null)]).toEqual([6, 0, null])
})
