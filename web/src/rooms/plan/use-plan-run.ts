import {
  type AskedPlan,
  type OrderPlan,
  type PlanAim,
  type PlanDraft,
  type PlanGoods,
  type ProgrammeProgress,
  planRequest,
} from '@fleam/core'
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
  aims: Partial<Record<PlanAim, OrderPlan | null>>
}

export interface PlanRun {
  made: Made | null
  state: 'waiting' | 'running' | 'beside' | 'done' | 'stopped' | 'failed'
  progress: ProgrammeProgress | null
  failure: string | null
  stop: () => void
  again: () => void
}

/** Whoever types is not answered letter by letter. */
const PAUSE_MS = 350

/** Makes the plan of a draft aside, anew whenever what is asked changes; what was made stays until the next is there. */
export function usePlanRun({
  draft,
  goods,
  seconds,
}: {
  draft: PlanDraft
  goods: PlanGoods
  seconds: number
}): PlanRun {
  const { currency } = useKitchen()
  const asked = useMemo(() => planRequest(draft, goods, currency), [draft, goods, currency])
  const key = useMemo(() => JSON.stringify([asked, seconds]), [asked, seconds])
  const [round, setRound] = useState(0)
  const [made, setMade] = useState<Made | null>(null)
  const [state, setState] = useState<PlanRun['state']>('waiting')
  const [progress, setProgress] = useState<ProgrammeProgress | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  const breakOff = useRef<() => void>(() => {})
  const basis = useRef<PlanBasis>({ draft, goods, asked })
  basis.current = { draft, goods, asked }
  // biome-ignore lint/correctness/useExhaustiveDependencies: `key` is all of what is asked, `round` asks for it again.
  useEffect(() => {
    const own = basis.current
    if (own.asked.request.demand.length === 0) {
      setState('waiting')
      setMade(null)
      return
    }
    const start = () => {
      setState('running')
      setProgress(null)
      setFailure(null)
      breakOff.current = planAside({ ...own.asked, seconds }, (told) => {
        switch (told.type) {
          case 'progress':
            return setProgress(told.progress)
          case 'plan':
            setState('beside')
            return setMade((before) => ({
              ...own,
              plan: told.plan,
              isWhole: told.isWhole,
              aims: told.isWhole && before?.asked === own.asked ? before.aims : {},
            }))
          case 'aim':
            return setMade((before) => before && { ...before, aims: { ...before.aims, [told.aim]: told.plan } })
          case 'done':
            return setState('done')
          case 'failed':
            setFailure(told.message)
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
  return {
    made,
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
