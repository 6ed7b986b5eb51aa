import { daysBetween } from '../calendar/index.ts'
import type { OrderPlan, OrderPlanRequest, PlanLimit } from './order-plan.ts'

/** A limit that is used up, with the same request without it. Of several ways the best holds. */
export interface Loosened {
  limit: Omit<PlanLimit, 'saves' | 'shorter'>
  requests: OrderPlanRequest[]
}

const MORE = 1.1
const MINUTES_PER_HOUR = 60

const more = (limit: number) => Math.max(limit + 1, Math.floor(limit * MORE))
const saidMore = (limit: number) => String(more(limit) - limit)
/** What is loosened, in one word or two: as a shortage names it. */
export const limitName = ({ limit, name, day }: Pick<PlanLimit, 'limit' | 'name' | 'day'>): string =>
  [limit, name, day].filter((part) => part !== null).join(' ')

/** Limits of a plan that are used up, each with the request that has an hour, a tenth, or a day more of it. */
export function usedUp(request: OrderPlanRequest, plan: Pick<OrderPlan, 'cutting' | 'orders' | 'short'>): Loosened[] {
  return [
    ...labourUsed(request, plan),
    ...coldUsed(request),
    ...packsUsed(request, plan),
    ...unitsUsed(request, plan),
    ...minimums(request),
    ...deliveryDays(request),
  ]
}

/** A day on which not one unit more could be cut of anything. */
function labourUsed(request: OrderPlanRequest, { cutting }: Pick<OrderPlan, 'cutting'>): Loosened[] {
  const { days, cuts, labour } = request
  const least = Math.min(...cuts.map(({ minutes }) => minutes).filter((minutes) => minutes > 0))
  return days.flatMap((day, index): Loosened[] => {
    const minutes = cutting.reduce((sum, task) => sum + (task.day === day ? task.minutes : 0), 0)
    const left = (labour.hours[index] ?? 0) * MINUTES_PER_HOUR - minutes
    if (!(left < least)) return []
    const hours = labour.hours.map((hour, place) => (place === index ? hour + 1 : hour))
    return [
      {
        limit: { limit: 'labour', name: null, day, oneMore: '60 minutes' },
        requests: [{ ...request, labour: { ...labour, hours } }],
      },
    ]
  })
}

function coldUsed(request: OrderPlanRequest): Loosened[] {
  const { coldSpace } = request
  if (coldSpace === null) return []
  return [
    {
      limit: {
        limit: 'cold',
        name: null,
        day: null,
        oneMore: `${Math.max(1, coldSpace * (MORE - 1)).toFixed(1)} of space`,
      },
      requests: [{ ...request, coldSpace: Math.max(coldSpace + 1, coldSpace * MORE) }],
    },
  ]
}

function packsUsed(request: OrderPlanRequest, { orders }: Pick<OrderPlan, 'orders'>): Loosened[] {
  const isUsed = (name: string, most: number) =>
    orders.some(({ lines }) => lines.some((line) => line.name === name && line.packs >= most))
  const loosen = <T extends { name: string; mostPacks: number }>(goods: readonly T[], name: string) =>
    goods.map((good) => (good.name === name ? { ...good, mostPacks: more(good.mostPacks) } : good))
  return [...request.wholes, ...request.ready].flatMap(({ name, mostPacks }): Loosened[] =>
    isUsed(name, mostPacks)
      ? [
          {
            limit: { limit: 'most-packs', name, day: null, oneMore: `${saidMore(mostPacks)} packs` },
            requests: [{ ...request, wholes: loosen(request.wholes, name), ready: loosen(request.ready, name) }],
          },
        ]
      : [],
  )
}

function unitsUsed(request: OrderPlanRequest, { cutting }: Pick<OrderPlan, 'cutting'>): Loosened[] {
  return request.cuts.flatMap(({ name, mostPerDay }): Loosened[] => {
    if (!cutting.some((task) => task.cut === name && task.units >= mostPerDay)) return []
    const cuts = request.cuts.map((cut) => (cut.name === name ? { ...cut, mostPerDay: more(mostPerDay) } : cut))
    return [
      {
        limit: { limit: 'most-per-day', name, day: null, oneMore: `${saidMore(mostPerDay)} units a day` },
        requests: [{ ...request, cuts }],
      },
    ]
  })
}

function minimums(request: OrderPlanRequest): Loosened[] {
  return request.suppliers.flatMap(({ name, minimum }): Loosened[] => {
    if (minimum === 0) return []
    const suppliers = request.suppliers.map((supplier) =>
      supplier.name === name ? { ...supplier, minimum: 0 } : supplier,
    )
    return [
      { limit: { limit: 'minimum', name, day: null, oneMore: 'no minimum' }, requests: [{ ...request, suppliers }] },
    ]
  })
}

/** Days on which a supplier does not come, one at a time: the best of them is told. */
function deliveryDays(request: OrderPlanRequest): Loosened[] {
  const { days, suppliers } = request
  return suppliers.flatMap(({ name, delivers }): Loosened[] => {
    const others = days.filter((day) => !delivers.some((delivery) => daysBetween(delivery, day) === 0))
    if (others.length === 0) return []
    return [
      {
        limit: { limit: 'delivery-day', name, day: null, oneMore: 'one day' },
        requests: others.map((day) => ({
          ...request,
          suppliers: suppliers.map((supplier) =>
            supplier.name === name ? { ...supplier, delivers: [...supplier.delivers, day] } : supplier,
          ),
        })),
      },
    ]
  })
}
