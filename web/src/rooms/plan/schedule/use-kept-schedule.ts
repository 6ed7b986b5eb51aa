import { planOperations } from '@fleam/contract/planning/operations'
import type { KeptSchedule, Plan } from '@fleam/core/plans'
import { daysAway } from '@fleam/core/plans'
import { USUAL_WORK } from '@fleam/core/scheduling'
import { useEffect, useRef, useState } from 'react'
import { ApiProblem, call } from '../../../data/api.ts'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useUpdateSchedule } from '../../../data/planning-queries.ts'
import { useKeptSoon } from '../use-kept-soon.ts'

const SAVE_AFTER_MS = 400

export interface KeptScheduleState {
  schedule: KeptSchedule
  change: (part: Partial<KeptSchedule>) => void
  error: unknown
  retry: () => void
  /** Somebody else has kept another schedule meanwhile: this one is not kept, and theirs is shown when one asks for it. */
  isOvertaken: boolean
  showTheirs: () => Promise<void>
}

/** The schedule of a plan: every change stands at once, and is kept a moment later, one after the other. */
export function useKeptSchedule(plan: Plan): KeptScheduleState {
  const [content, setSaid] = useState<KeptSchedule>(() => ({
    settings: plan.schedule?.settings ?? USUAL_WORK,
    late: plan.schedule?.late ?? [],
    days: plan.schedule?.days ?? (plan.accepted ? daysAway(plan.accepted.draft) : []),
    tasks: plan.schedule?.tasks ?? [],
  }))
  const [kept, setKept] = useState(content)
  const version = useRef(plan.version)
  const save = useUpdateSchedule(plan.id)
  const { mutate, mutateAsync, isPending, isError } = save
  useKeptSoon(content, {
    ...{ isChanged: content !== kept, isHeld: isPending || isError, afterMs: SAVE_AFTER_MS },
    save: async (schedule) => {
      const saved = await mutateAsync({ version: version.current, schedule })
      version.current = saved.version
      setKept(schedule)
    },
    saveLast: (schedule) => mutate({ version: version.current, schedule }),
  })
  // What another device changed since is taken over, where nothing of this one waits to be kept.
  useEffect(() => {
    if (content !== kept || isPending || plan.version <= version.current || !plan.schedule) return
    version.current = plan.version
    setSaid(plan.schedule)
    setKept(plan.schedule)
  }, [content, kept, isPending, plan])
  const { id } = useKitchen()
  const isOvertaken = save.error instanceof ApiProblem && save.error.problem.code === 'stale-version'
  return {
    schedule: content,
    change: (part) => setSaid((before) => ({ ...before, ...part })),
    error: isError && !isOvertaken ? save.error : null,
    retry: () => save.reset(),
    isOvertaken,
    showTheirs: async () => {
      const theirs = await call(planOperations.readPlan, { kitchenId: id, planId: plan.id })
      version.current = theirs.version
      const shown = { ...content, ...theirs.schedule }
      setSaid(shown)
      setKept(shown)
      save.reset()
    },
  }
}
