import type { Cook, Item, Plan } from '@fleam/contract'
import { type PlacedTask, type Schedule, scheduleFaults, workPlan } from '@fleam/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useNow } from '../../../parts/use-now.ts'
import { cooksOf, jobsOf, minutesSince } from './jobs.ts'
import { type Lane, moved } from './moved.ts'
import { taskWords } from './task-words.ts'
import { useKeptSchedule } from './use-kept-schedule.ts'
import { useScheduleRun } from './use-schedule-run.ts'

export interface ScheduleRoomProps {
  plan: Plan
  accepted: NonNullable<Plan['accepted']>
  items: readonly Item[]
  cooks: readonly Cook[]
}

/** What stands in the room of a schedule, and what can be done there. */
export function useScheduleRoom({ plan, accepted, items, cooks }: ScheduleRoomProps) {
  const { timeZone } = useKitchen()
  const { from, days } = accepted.draft
  const kept = useKeptSchedule(plan)
  const { settings, tasks: placed } = kept.schedule
  const [away, setAway] = useState<readonly string[]>([])
  const [offered, setOffered] = useState<Schedule | null>(null)
  const [impossible, setImpossible] = useState<Schedule['impossible']>([])
  const [leftOut, setLeftOut] = useState<readonly string[]>([])
  const run = useScheduleRun()
  const all = useMemo(() => jobsOf(accepted, items, timeZone), [accepted, items, timeZone])
  const jobs = useMemo(() => all.filter(({ id }) => !leftOut.includes(id)), [all, leftOut])
  const now = minutesSince(from, timeZone, useNow())
  const work = useMemo(
    () => workPlan(jobs, { from, days, cooks: cooksOf(cooks, away), settings, now: 0 }),
    [jobs, from, days, cooks, away, settings],
  )
  const taskOf = new Map(work.tasks.map((task) => [task.id, task]))
  const jobOf = new Map(jobs.map((job) => [job.id, job]))
  const nameOf = (id: string) => {
    const task = taskOf.get(id)
    const job = task && jobOf.get(task.jobId)
    return task && job ? `${job.name}, ${taskWords(task, job)}` : id
  }
  const shown = placed.filter(({ id }) => taskOf.has(id))
  const keep = (tasks: readonly PlacedTask[]) =>
    kept.change({
      tasks: tasks.map(({ id, start, end, cook, station }) => ({
        ...{ id, start, end, cook, station },
        jobId: taskOf.get(id)?.jobId ?? plan.id,
        what: nameOf(id),
      })),
    })
  /** Makes it: all of it, or what has not begun from now on, beside what stands. */
  const make = (isRest: boolean, without: readonly string[] = []) => {
    const asked = workPlan(
      jobs.filter(({ id }) => !without.includes(id)),
      { from, days, cooks: cooksOf(cooks, away), settings, now: isRest ? Math.max(0, now) : 0 },
    )
    setImpossible([])
    run.make(asked, (schedule) => {
      if (schedule.status === 'impossible') setImpossible(schedule.impossible)
      else if (isRest && shown.length > 0) setOffered(schedule)
      else keep(schedule.tasks)
    })
  }
  const isFirst = useRef(true)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a plan that nobody scheduled is, once, when it is looked at.
  useEffect(() => {
    if (isFirst.current && plan.schedule === null && work.tasks.length > 0) make(false)
    isFirst.current = false
  }, [])
  return {
    ...{
      from,
      days,
      settings,
      away,
      setAway,
      offered,
      impossible,
      run,
      jobs,
      now,
      work,
      nameOf,
      shown,
      make,
    },
    hasAny: placed.length > 0,
    /** Something was planned or changed since it was made. */
    isMissing: shown.length < work.tasks.length,
    faults: scheduleFaults(work.request, shown, work.held),
    leftOut: all.filter(({ id }) => leftOut.includes(id)),
    takeIn: () => setLeftOut([]),
    /** What cannot be done is left out, and said; everything else gets its time. */
    scheduleOthers: () => {
      const without = impossible.flatMap(({ task }) => taskOf.get(task)?.jobId ?? [])
      setLeftOut([...leftOut, ...without])
      make(false, without)
    },
    move: (id: string, by: { minutes: number; lane?: Lane | undefined }) => keep(moved(placed, id, by)),
    take: (schedule: Schedule) => {
      keep(schedule.tasks)
      setOffered(null)
    },
    leave: () => setOffered(null),
    changeSettings: (next: typeof settings) => kept.change({ settings: next }),
    error: kept.error,
    retry: kept.retry,
  }
}
export type ScheduleRoomState = ReturnType<typeof useScheduleRoom>
