import { minutesSince } from '@fleam/core/calendar'
import { lessOn, type OrderPlan, type PlanDraft } from '@fleam/core/planning'
import type { Plan } from '@fleam/core/plans'
import { asAccepted, daysAway, planJobs, workCooks } from '@fleam/core/plans'
import { explainSchedule, fullestDay, type Schedule, USUAL_WORK, workPlan } from '@fleam/core/scheduling'
import { taskNames } from '@fleam/core/wording'
import { useEffect, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks, useItems } from '../../data/queries.ts'
import { usePlanWork } from '../../data/schedule-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { scheduleAside } from '../../workers/plan-client.ts'
import css from './plan.module.css'
import type { PlanBasis } from './use-plan-run.ts'

const SECONDS = 3

interface CanBeScheduledProps {
  plan: Pick<Plan, 'id' | 'name'>
  basis: PlanBasis
  shown: OrderPlan
  change: (part: Partial<PlanDraft>) => void
}

/**
 * Whether a plan that is not accepted yet can be done: with packing, cleaning, boards, skills and shifts, of which the
 * plan itself knows nothing. It is tried aside, while the plan is read; what other plans have the cooks do that day, and
 * hours that are said for this plan alone, are not in it.
 */
export function CanBeScheduled({ plan: { id, name }, basis: { draft, goods }, shown, change }: CanBeScheduledProps) {
  const format = useFormat()
  const { timeZone } = useKitchen()
  const [items, cooks, works] = [useItems(), useCooks(), usePlanWork(id)]
  const [answered, setMade] = useState<{ of: unknown; schedule: Schedule } | null>(null)
  const tried = useMemo(() => {
    if (!items.data || !cooks.data || !works.data || shown.cutting.length === 0) return null
    const accepted = asAccepted({ draft, goods, answer: shown }, { plan: { id, name }, items: items.data })
    const schedule = { settings: USUAL_WORK, late: [], days: [], tasks: [] }
    const jobs = planJobs(accepted, { items: items.data, works: works.data, schedule, timeZone })
    const now = Math.max(0, minutesSince(draft.from, timeZone, new Date()))
    const working = workCooks(cooks.data, { away: [], days: daysAway(draft) })
    const work = workPlan(jobs, { from: draft.from, days: draft.days, cooks: working, settings: USUAL_WORK, now })
    return { jobs, work }
  }, [items.data, cooks.data, works.data, shown, draft, goods, id, name, timeZone])
  useEffect(() => {
    if (!tried) return
    return scheduleAside({ request: tried.work.request, held: [], seconds: SECONDS }, (message) => {
      if (message.type === 'schedule') setMade({ of: tried, schedule: message.schedule })
    })
  }, [tried])
  if (!tried) return null
  const nameOf = (jobId: string) => tried.jobs.find((job) => job.id === jobId)?.name ?? ''
  const warm = tried.work.tooWarm.map(nameOf)
  if (warm.length > 0) {
    return (
      <p className={css.short} role="status">
        Out of the cold for too long whoever cuts it: {warm.join('; ')}. It would have no place in the schedule.
      </p>
    )
  }
  const schedule = answered?.of === tried ? answered.schedule : null
  if (!schedule) {
    return (
      <p className="quiet" role="status">
        Trying whether the cooks can do it …
      </p>
    )
  }
  if (schedule.status === 'impossible') {
    const jobs = new Set(
      schedule.impossible.flatMap(({ task }) => tried.work.tasks.find((workTask) => workTask.id === task)?.jobId ?? []),
    )
    return (
      <p className={css.short} role="status">
        The cooks cannot do it as it is: no time was found for {[...jobs].map(nameOf).join('; ')}. Longer hours, another
        cook or another day would mend it.
      </p>
    )
  }
  const taskName = taskNames(tried.work, tried.jobs)
  const late = fullestDay(tried.jobs, tried.work, schedule.tasks)
  return late !== null ? (
    <p className={css.short} role="status">
      The cooks cannot do all of {dayWords(late)} in time, with packing, cleaning and boards:{' '}
      <OpenFigure
        explain={() => explainSchedule(tried.work.request, schedule.tasks, { figure: 'late', nameOf: taskName })}
        format={format}
      >
        {format.quantity(schedule.lateMinutes, 'minutes')}
      </OpenFigure>{' '}
      late in all. Longer hours or another cook would mend it, or{' '}
      <Button size="sm" variant="outline-dark" onClick={() => change({ hours: lessOn(draft.hours, late, shown) })}>
        Plan less on {dayWords(late)}
      </Button>
    </p>
  ) : (
    <p className="quiet" role="status">
      The cooks can do it in the hours of their week, with {USUAL_WORK.boards} boards and no other plan: a schedule was
      found with nothing late.
    </p>
  )
}
