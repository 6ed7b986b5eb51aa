import { emptyDraft, type OrderPlan, type PlanDraft, type PlanGoods } from '@fleam/core/planning'
import type { ExpectedLine, Plan, PlannedFabrication } from '@fleam/core/plans'
import type { Item, Style } from '@fleam/core/style'
import { v7 as newId } from 'uuid'

type Ask = <T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', rest: string, payload?: unknown) => Promise<T>

const FROM = '2026-12-03'
const known = (value: number) => ({ value, source: 'assumed' }) as const

interface Filled {
  supplierId: string
  cookId: string
  item: Item
  style: Style
  productId: string
}

/** Plans of a kitchen, one of them accepted, with what came of it; answers what is taken away last. */
export async function fillPlans(
  ask: Ask,
  { supplierId, cookId, item, style, productId }: Filled,
): Promise<{ method: 'DELETE'; rest: string }[]> {
  const draft: PlanDraft = {
    ...emptyDraft(FROM),
    days: 2,
    covers: [{ day: FROM, covers: 30 }],
    menu: [{ productId, share: 0.2 }],
    service: 0.5,
  }
  const [articleId, kept, other] = [newId(), newId(), newId()]
  const goods: PlanGoods = {
    products: [
      {
        id: productId,
        name: 'supremes',
        unit: 'portion',
        isWaste: false,
        keepsDays: known(3),
        cold: known(0.2),
        surplusValue: known(0),
        disposal: known(0),
        usedPerWeek: null,
      },
    ],
    suppliers: [{ id: supplierId, name: 'Ostravale', deliveryDays: null, charge: known(4), minimum: known(0) }],
    wholes: [
      {
        id: articleId,
        name: 'Chicken',
        supplierId,
        itemId: item.id,
        unitName: item.unitName,
        pack: 1,
        price: known(7),
        keepsDays: known(3),
        cold: known(2),
      },
    ],
    cuts: [
      {
        id: `${articleId} ${style.id}`,
        name: 'cut',
        styleId: style.id,
        wholeId: articleId,
        minutes: known(9),
        setUp: known(10),
        consumables: known(0),
        restDays: known(0),
        yields: [{ productId, quantity: known(2), carries: 250, sd: 0, df: null, tests: 2, spread: 'none' }],
      },
    ],
    ready: [],
    stock: [],
    cooks: [],
    coming: [],
    held: { plans: [], minutes: [], kilos: [] },
    boardShare: { value: 1, schedules: 0 },
    wagePerHour: 20,
  }
  const cost = { wholes: 21, ready: 0, delivery: 4, labour: 12, consumables: 0, disposal: 0, surplus: 0, total: 37 }
  const answer: OrderPlan = {
    status: 'optimal',
    bound: 37,
    gap: 0,
    cost,
    orders: [{ supplier: 'Ostravale', day: FROM, lines: [{ name: 'Chicken', packs: 3 }], charge: 4 }],
    cutting: [{ cut: 'cut', day: FROM, units: 3, minutes: 37, from: [{ kind: 'delivery', day: FROM, units: 3 }] }],
    use: [{ product: 'supremes', day: FROM, quantity: 6, source: { kind: 'cut', cut: 'cut', day: FROM } }],
    left: [],
    uncut: [],
    short: [],
    beside: { allReady: null, allCut: null },
    limits: [],
    service: { asked: 0.5, met: 1, all: 1, draws: 10_000, premium: 0 },
  }
  await ask<Plan>('POST', '/plans', { id: kept, name: 'Week', draft })
  await ask<Plan>('PUT', `/plans/${kept}`, { version: 1, name: 'Our week', draft })
  await ask<Plan>('POST', `/plans/${kept}/acceptance`, { version: 2, draft, goods, answer })
  const settings = {
    ...{ boards: 2, saws: 1, stoves: 2, begins: 480, service: 1080, buffer: 30, boardMinutes: 30, packMinutes: 10 },
    ...{ setHours: 8, stockHours: 6, cleanDown: 10, against: 20 },
  }
  const [planned] = (await ask<PlannedFabrication[]>('GET', '/planned')) as [PlannedFabrication]
  const task = {
    id: 'a',
    jobId: planned.id,
    what: 'Duck',
    kind: 'cut',
    upTo: 3,
    start: 480,
    end: 500,
    cookId,
    station: { name: 'board', number: 1 },
  }
  await ask<Plan>('PUT', `/plans/${kept}/schedule`, {
    version: 3,
    schedule: { settings, late: [], days: [], tasks: [task] },
  })
  await ask<Plan>('PUT', `/plans/${kept}/told`, { taskId: 'a', begunAt: `${FROM}T07:00:00.000Z`, doneAt: null })
  await ask('GET', `/day-schedule?day=${FROM}`)
  await ask('GET', '/schedules')
  await ask('PUT', `/styles/${style.id}/work`, {
    ...{ isFrozen: false, dryHours: 0, temperHours: 0, setHours: 0, cureHours: 0, confitHours: 0 },
    ...{ chillHours: 0, stockHours: 6, line: 1, carriers: 0 },
  })
  await ask('GET', `/plans/${kept}/work`)
  await ask('GET', `/plans/${kept}`)
  const [line] = (await ask<ExpectedLine[]>('GET', '/expected')) as [ExpectedLine]
  await ask('PUT', `/expected/${line.id}`, { arrived: 3 })
  await ask('PUT', `/expected/${line.id}`, { arrived: null })
  await ask('PUT', `/planned/${planned.id}`, { cookId: null, isDropped: false })
  await ask('POST', '/plans', { id: other, name: 'Another', draft })
  return [
    { method: 'DELETE', rest: `/plans/${kept}/acceptance?version=4` },
    { method: 'DELETE', rest: `/plans/${other}` },
  ]
}
