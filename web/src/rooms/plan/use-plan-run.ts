import {
  type AskedPlan,
  furtherFound,
  type OrderPlan,
  type PlanDraft,
  type PlanGoods,
  type PlansByAim,
  planInPlaceOf,
  planKnownBetter,
  planRequest,
  planTotals,
  trueAims,
  type UsualWays,
} from '@fleam/core/planning'
import type { ProgrammeProgress } from '@fleam/core/solving'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useKitchen } from '../../data/kitchen-context.ts'
import { planAside } from '../../workers/plan-client.ts'

/** What a plan was made of: what is shown of it rests on this, also while the next one is made. */
export interface PlanBasis {
  draft: PlanDraft
  goods: PlanGoods
  asked: AskedPlan
}

export interface Made extends PlanBasis {
  plan: OrderPlan
  /** What stands beside it is there too. */
  isWhole: boolean
  /** The plan for each aim, as far as they are made; one that another meets better gives its place to it. */
  aims: PlansByAim
  /** So long was looked for it. */
  seconds: number
}

export interface PlanRun {
  answered: Made | null
  /** What was made answers what is asked now. */
  isCurrent: boolean
  state: 'waiting' | 'running' | 'beside' | 'further' | 'done' | 'stopped' | 'failed'
  /** What was found while the plan was read: one that leaves less short, or costs less. */
  better: { plan: OrderPlan; by: 'less-short' | 'cheaper' } | null
  takeBetter: () => void
  progress: ProgrammeProgress | null
  failure: string | null
  stop: () => void
  again: () => void
}

/** Whoever types is not answered letter by letter. */
const PAUSE_MS = 350

/** With more plans for aims; one that costs less than the plan that was made for its cost takes its place. */
function withAims(made: Made, more: PlansByAim): Made {
  const allAims = { ...made.aims, ...more }
  const aims = trueAims(allAims, (plan) => planTotals(plan, made.goods, made.draft))
  const [own, best] = [allAims.cost ?? made.plan, aims.cost ?? made.plan]
  if (own === best) return { ...made, aims, plan: own }
  const plan = planInPlaceOf(own, best)
  return { ...made, aims: { ...aims, cost: plan }, plan }
}

/** The same plan, of which more is known now: nothing cheaper was found. */
function withBound(made: Made, { plan, seconds }: { plan: OrderPlan; seconds: number }): Made {
  const better = planKnownBetter(made.plan, plan)
  return { ...made, seconds, plan: better, aims: { ...made.aims, cost: better } }
}

/** Makes the plan of a draft aside, anew whenever what is asked changes; what was made stays until the next is there. */
export function usePlanRun({
  draft,
  goods,
  seconds,
  usual,
}: {
  draft: PlanDraft
  goods: PlanGoods
  seconds: number
  /** How it was done in the last week that was accepted. */
  usual: UsualWays | null
}): PlanRun {
  const { currency } = useKitchen()
  const asked = useMemo(() => planRequest(draft, goods, currency), [draft, goods, currency])
  const key = useMemo(() => JSON.stringify([asked, seconds]), [asked, seconds])
  const [round, setRound] = useState(0)
  const [answered, setMade] = useState<Made | null>(null)
  const [state, setState] = useState<PlanRun['state']>('waiting')
  const [progress, setProgress] = useState<ProgrammeProgress | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  const breakOff = useRef<() => void>(() => {})
  const [better, setBetter] = useState<{ plan: OrderPlan; seconds: number } | null>(null)
  const basis = useRef({ draft, goods, asked, usual })
  basis.current = { draft, goods, asked, usual }
  // biome-ignore lint/correctness/useExhaustiveDependencies: `key` is all of what is asked, `round` asks for it again.
  useEffect(() => {
    const { usual: before, ...own } = basis.current
    setBetter(null)
    if (own.asked.request.demand.length === 0) {
      setState('waiting')
      setMade(null)
      return
    }
    const start = () => {
      setState('running')
      setProgress(null)
      setFailure(null)
      breakOff.current = planAside({ ...own.asked, usual: before, seconds }, (message) => {
        switch (message.type) {
          case 'progress':
            return setProgress(message.progress)
          case 'plan':
            setState('beside')
            return setMade(withAims({ ...own, ...message, aims: {} }, { cost: message.plan }))
          case 'aim':
            return setMade((answered) => answered && withAims(answered, { [message.aim]: message.plan }))
          case 'further':
            return setState('further')
          case 'better':
            return setBetter(message)
          case 'done':
            return setState('done')
          case 'failed':
            setFailure(message.message)
            return setState('failed')
        }
      })
    }
    const timer = setTimeout(start, PAUSE_MS)
    return () => {
      clearTimeout(timer)
      breakOff.current()
      breakOff.current = () => {}
    }
  }, [key, round])
  const by = answered && better && furtherFound(answered.plan, better.plan, answered.asked.request.demand)
  return {
    answered: answered && better && by === 'as-good' ? withBound(answered, better) : answered,
    isCurrent: answered !== null && answered.asked === asked,
    better: better && (by === 'less-short' || by === 'cheaper') ? { plan: better.plan, by } : null,
    takeBetter: () => {
      if (better) setMade((answered) => answered && withAims({ ...answered, ...better }, { cost: better.plan }))
      setBetter(null)
    },
    state,
    progress,
    failure,
    stop: () => {
      breakOff.current()
      setState('stopped')
    },
    again: () => setRound((before) => before + 1),
  }
}
