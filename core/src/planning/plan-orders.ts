import { MEAN_SERVICE } from './counted-yield.ts'
import { limitName, usedUp } from './limits.ts'
import { modelOf } from './model/index.ts'
import type { OrderPlan, OrderPlanRequest, PlanLimit } from './order-plan.ts'
import type { ProgrammeProgress, SolveMixed } from './programme.ts'
import { type Decided, readPlan } from './read-plan.ts'
import { solvePlan } from './solve-plan.ts'
import { SERVICE_DRAWS, tryService } from './try-service.ts'

export interface PlanOptions {
  /** For the plan and all that stands beside it. */
  seconds?: number
  onProgress?: (progress: ProgrammeProgress) => void
}

const SECONDS = 24
/** Of the time, the plan itself takes so much at most; what stands beside it shares the rest. */
const PLAN_SHARE = 0.85
/** Shortages and money that differ by less are the same. */
const SAME = 1e-6

interface Made extends Decided {
  shortage: number
  isProven: boolean
  bound: number
  gap: number
}

/**
 * What to order and how to cut it: first the least shortage, among those the least cost, with what stands beside it.
 * Days are consecutive, names unique and known, quantities not negative: the contract has seen to it.
 */
export function planOrders(
  request: OrderPlanRequest,
  solve: SolveMixed,
  { seconds = SECONDS, onProgress }: PlanOptions = {},
): OrderPlan {
  const ends = Date.now() + seconds * 1000
  const secondsLeft = () => (ends - Date.now()) / 1000
  const make = (of: OrderPlanRequest, limit: number): Made | null => {
    const model = modelOf(of)
    const solved = solvePlan(model, { solve, seconds: limit, onProgress: of === request ? onProgress : undefined })
    if (!solved) return null
    const decided = readPlan(of, model, solved.values)
    const { isProven } = solved.cost
    const bound = isProven ? decided.cost.total : Math.min(solved.cost.bound, decided.cost.total)
    const gap = isProven ? 0 : Math.abs(decided.cost.total - bound) / Math.max(Math.abs(decided.cost.total), SAME)
    return { ...decided, shortage: solved.short, isProven, bound, gap }
  }
  const plan = make(request, seconds * PLAN_SHARE)
  if (!plan) return refused(request)
  /** Another request's plan, where it is proven while there is time. */
  const aside = (of: OrderPlanRequest): Made | null => {
    if (secondsLeft() <= 0) return null
    const made = make(of, Math.max(0.2, secondsLeft() / 2))
    return made?.isProven ? made : null
  }
  const besideCost = (of: OrderPlanRequest) => {
    const made = aside(of)
    return made && made.shortage <= plan.shortage + SAME ? made.cost.total : null
  }
  const mean = request.service > MEAN_SERVICE ? aside({ ...request, service: MEAN_SERVICE }) : plan
  const { limits, short } = loosened(request, plan, aside)
  const { shortage: _shortage, isProven, bound, gap, ...decided } = plan
  return {
    status: isProven ? 'optimal' : 'within-gap',
    bound,
    gap,
    ...decided,
    short,
    beside: {
      allReady: besideCost({ ...request, cuts: [], wholes: [], stock: request.stock.map(withoutWhole) }),
      allCut: besideCost({ ...request, ready: [] }),
    },
    limits,
    service: {
      asked: request.service,
      ...tryService(request, decided),
      draws: SERVICE_DRAWS,
      premium: mean && Math.abs(mean.shortage - plan.shortage) <= SAME ? plan.cost.total - mean.cost.total : null,
    },
  }
}

/** The place of a stock is kept, and nothing of it is there. */
const withoutWhole = (stock: OrderPlanRequest['stock'][number]) =>
  stock.whole === null ? stock : { ...stock, whole: null, quantity: 0 }

/** Every limit that is used up, loosened: what that saves or makes less short, and which shortages it lessens. */
function loosened(
  request: OrderPlanRequest,
  plan: Made,
  aside: (of: OrderPlanRequest) => Made | null,
): Pick<OrderPlan, 'limits' | 'short'> {
  const limits: PlanLimit[] = []
  const because = new Map(plan.short.map(({ product, day }) => [`${day} ${product}`, [] as string[]]))
  for (const { limit, requests } of usedUp(request, plan)) {
    const [best] = requests
      .flatMap((each) => {
        const made = aside(each)
        return made ? [{ made, request: each }] : []
      })
      .sort((a, b) => a.made.shortage - b.made.shortage || a.made.cost.total - b.made.cost.total)
    if (!best) continue
    const { made } = best
    const day = limit.limit === 'delivery-day' ? addedDay(request, best.request, limit.name) : limit.day
    const shorter = plan.shortage - made.shortage
    const saves = shorter > SAME ? null : plan.cost.total - made.cost.total
    if (shorter <= SAME && (saves ?? 0) <= SAME) continue
    limits.push({ ...limit, day, saves, shorter: shorter > SAME ? shorter : 0 })
    for (const { product, day: asked, quantity } of plan.short) {
      const now = made.short.find((each) => each.product === product && each.day === asked)?.quantity ?? 0
      if (now < quantity - SAME) because.get(`${asked} ${product}`)?.push(limitName({ ...limit, day }))
    }
  }
  return {
    limits: limits.sort((a, b) => b.shorter - a.shorter || (b.saves ?? 0) - (a.saves ?? 0)),
    short: plan.short.map((each) => {
      const why = because.get(`${each.day} ${each.product}`) ?? []
      return { ...each, because: why.length > 0 ? why : ['no-source'] }
    }),
  }
}

function addedDay(before: OrderPlanRequest, after: OrderPlanRequest, supplier: string | null) {
  const daysOf = ({ suppliers }: OrderPlanRequest) => suppliers.find(({ name }) => name === supplier)?.delivers ?? []
  return daysOf(after).find((day) => !daysOf(before).includes(day)) ?? null
}

/** Nothing keeps the rules: what is in stock takes more than the cold has, whatever is done. */
function refused({ service }: OrderPlanRequest): OrderPlan {
  const cost = { wholes: 0, ready: 0, delivery: 0, labour: 0, consumables: 0, disposal: 0, surplus: 0, total: 0 }
  return {
    status: 'refused',
    bound: 0,
    gap: 0,
    cost,
    orders: [],
    cutting: [],
    use: [],
    left: [],
    uncut: [],
    short: [],
    beside: { allReady: null, allCut: null },
    limits: [],
    service: { asked: service, met: 0, all: 0, draws: 0, premium: null },
  }
}
