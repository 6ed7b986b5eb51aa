import type { PortionPlan, PortionRequest } from '@fleam/core/portioning'
import { planVariants } from '@fleam/core/portioning'
import { useEffect, useState } from 'react'
import { workAside } from '../../workers/core-client.ts'

export interface NamedPlan {
  name: string
  plan: PortionPlan
  /** What its lines are judged by. */
  request: PortionRequest
}

export interface PlansState {
  /** The last plans that were worked out; null while the first are not there. */
  plans: NamedPlan[] | null
  /** They are those of the piece as it is now. */
  isFresh: boolean
  error: unknown
}

/** Up to four plans of a piece, worked out aside. A new request drops the old one; its plans stand until others are there. */
export function usePlans(request: PortionRequest | null): PlansState {
  const [known, setKnown] = useState<{ plans: NamedPlan[] | null; of: string; error: unknown }>({
    plans: null,
    of: '',
    error: null,
  })
  const key = JSON.stringify(request)
  useEffect(() => {
    const wanted = JSON.parse(key) as PortionRequest | null
    if (!wanted) return
    const leaving = new AbortController()
    const { signal } = leaving
    const planned = planVariants(wanted).map(async ({ name, request, judgedBy }) => ({
      name,
      request: judgedBy,
      plan: await workAside('portion-plan', request, { signal }),
    }))
    void Promise.all(planned).then(
      (plans) => signal.aborted || setKnown({ plans: plans.filter(isAnother), of: key, error: null }),
      (error: unknown) => signal.aborted || setKnown({ plans: null, of: key, error }),
    )
    return () => leaving.abort()
  }, [key])
  return { plans: known.plans, isFresh: known.of === key, error: known.error }
}

/** Two ways to the same lines are one plan, and one without a portion is none beside the first. */
const isAnother = ({ plan }: NamedPlan, at: number, plans: readonly NamedPlan[]) =>
  (at === 0 || plan.pieces.length > 0) &&
  plans.findIndex((namedPlan) => namedPlan.plan.cuts.join() === plan.cuts.join()) === at
