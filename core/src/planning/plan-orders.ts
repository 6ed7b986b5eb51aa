import type { ProgrammeProgress, SolveProgramme } from '../solving/index.ts'
import { costsFor, type PlanAim, requestFor } from './aims.ts'
import { MEAN_SERVICE } from './counted-yield.ts'
import { unknownGap } from './known-more.ts'
import { limitName, usedUp } from './limits.ts'
import { modelOf } from './model/index.ts'
import type { OrderPlan, OrderPlanRequest, PlanLimit, PlanPin } from './order-plan.ts'
import type { UsualWays } from './plain-plans.ts'
import { type Decided, readPlan } from './read-plan.ts'
import { solvePlan } from './solve-plan.ts'
import { SERVICE_DRAWS, tryService } from './try-service.ts'

export interface PlanOptions {
  /** For the plan and all that stands beside it. */
  seconds?: number
  /** What is pinned or forbidden; the plan at the mean and with a limit loosened keeps to it too. */
  pins?: readonly PlanPin[]
  /** How it was done before: where the search ends unproven, no plan is worse than the same again. */
  usual?: UsualWays | null
  onProgress?: (progress: ProgrammeProgress) => void
  /** Told of the plan before what stands beside it is worked out: without limits, premium, or other ways. */
  onPlan?: (plan: OrderPlan) => void
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

interface MakeOptions {
  pins?: readonly PlanPin[]
  onProgress?: PlanOptions['onProgress'] | undefined
  solve: SolveProgramme
  seconds: number
  aim?: PlanAim
  isProofNeeded?: boolean
  usual?: UsualWays | null
}

/** A plan of a request alone; null where nothing keeps the rules. */
function makePlan(
  given: OrderPlanRequest,
  { solve, seconds, pins = [], aim = 'cost', onProgress, isProofNeeded = false, usual = null }: MakeOptions,
): Made | null {
  const request = requestFor(aim, given)
  const model = modelOf(request, pins)
  const costs = costsFor(aim, model, request)
  const solved = solvePlan({ ...model, moneyCosts: costs }, { solve, seconds, onProgress, isProofNeeded, usual })
  if (!solved) return null
  const decided = readPlan(request, model, solved.values)
  const { isProven } = solved.cost
  if (aim === 'labour' || aim === 'waste') {
    return { ...decided, shortage: solved.short, isProven, bound: decided.cost.total, gap: solved.cost.gap }
  }
  if (!solved.isShortProven) {
    return { ...decided, shortage: solved.short, isProven: false, ...unknownGap(decided.cost.total) }
  }
  const bound = isProven ? decided.cost.total : Math.min(solved.cost.bound, decided.cost.total)
  const gap = isProven ? 0 : Math.abs(decided.cost.total - bound) / Math.max(Math.abs(decided.cost.total), SAME)
  return { ...decided, shortage: solved.short, isProven, bound, gap }
}

/**
 * What to order and how to cut it: first the least shortage, among those the least cost, with what stands beside it.
 * Days are consecutive, names unique and known, quantities not negative: the contract has seen to it.
 */
export function planOrders(
  request: OrderPlanRequest,
  solve: SolveProgramme,
  { seconds = SECONDS, pins = [], usual = null, onProgress, onPlan }: PlanOptions = {},
): OrderPlan {
  const ends = solve.nowMs() + seconds * 1000
  const secondsLeft = () => (ends - solve.nowMs()) / 1000
  const plan = makePlan(request, { solve, seconds: seconds * PLAN_SHARE, pins, usual, onProgress })
  if (!plan) return refused(request)
  const alone = answerOf(request, plan)
  onPlan?.(alone)
  /** Another request's plan, where it is proven while there is time. */
  const aside = (of: OrderPlanRequest, aim: PlanAim = 'cost'): Made | null => {
    if (secondsLeft() <= 0) return null
    const seconds = Math.max(0.2, secondsLeft() / 2)
    const plan = makePlan(of, { solve, seconds, pins, aim, isProofNeeded: true })
    return plan?.isProven ? plan : null
  }
  const besideCost = (made: Made | null) => (made && made.shortage <= plan.shortage + SAME ? made.cost.total : null)
  // What is quick and asked for most comes first: limits take whatever time is left.
  const beside = {
    allReady: besideCost(aside(request, 'ready')),
    allCut: besideCost(aside({ ...request, ready: [] })),
  }
  const mean = request.service > MEAN_SERVICE ? aside({ ...request, service: MEAN_SERVICE }) : plan
  const { limits, short } = loosened(request, plan, aside)
  return {
    ...alone,
    short,
    beside,
    limits,
    service: {
      ...alone.service,
      premium: mean && Math.abs(mean.shortage - plan.shortage) <= SAME ? plan.cost.total - mean.cost.total : null,
    },
  }
}

/** A plan for another aim, as far as the time reaches; null where nothing keeps the rules. */
export function planFor(
  aim: PlanAim,
  request: OrderPlanRequest,
  solve: SolveProgramme,
  { seconds = SECONDS, pins = [] }: PlanOptions = {},
): OrderPlan | null {
  const plan = makePlan(request, { solve, seconds, pins, aim })
  return plan && answerOf(request, plan)
}

/** A plan as it is answered, with nothing beside it yet. */
function answerOf(request: OrderPlanRequest, made: Made): OrderPlan {
  const { shortage: _shortage, isProven, ...decided } = made
  return {
    status: isProven ? 'optimal' : 'within-gap',
    ...decided,
    beside: { allReady: null, allCut: null },
    limits: [],
    service: { asked: request.service, ...tryService(request, decided), draws: SERVICE_DRAWS, premium: null },
  }
}

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
      .flatMap((orderPlanRequest) => {
        const besides = aside(orderPlanRequest)
        return besides ? [{ made: besides, request: orderPlanRequest }] : []
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
      const now = made.short.find((shortage) => shortage.product === product && shortage.day === asked)?.quantity ?? 0
      if (now < quantity - SAME) because.get(`${asked} ${product}`)?.push(limitName({ ...limit, day }))
    }
  }
  return {
    limits: limits.sort((a, b) => b.shorter - a.shorter || (b.saves ?? 0) - (a.saves ?? 0)),
    short: plan.short.map((shortage) => {
      const why = because.get(`${shortage.day} ${shortage.product}`) ?? []
      return { ...shortage, because: why.length > 0 ? why : ['no-source'] }
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
