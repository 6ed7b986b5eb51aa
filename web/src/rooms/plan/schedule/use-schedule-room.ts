import {
  type Cook,
  type Item,
  type KeptSchedule,
  keptTasks,
  type Plan,
  planJobs,
  type StylesWork,
  workCooks,
} from '@fleam/contract'
import {
  followTasks,
  minutesSince,
  type PlacedTask,
  placedAsBegun,
  placedInOrder,
  type Schedule,
  scheduleFaults,
  taskNames,
  withBegun,
  workPlan,
} from '@fleam/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useNow } from '../../../parts/use-now.ts'
import { type Lane, moved } from './moved.ts'
import { useKeptSchedule } from './use-kept-schedule.ts'
import { useScheduleRun } from './use-schedule-run.ts'

export interface ScheduleRoomProps {
  plan: Plan
  accepted: NonNullable<Plan['accepted']>
  items: readonly Item[]
  cooks: readonly Cook[]
  works: StylesWork
}

/** What stands in the room of a schedule, and what can be done there. */
export function useScheduleRoom({ plan, accepted, items, cooks, works }: ScheduleRoomProps) {
  const { timeZone } = useKitchen()
  const { from, days } = accepted.draft
  const kept = useKeptSchedule(plan)
  const { settings, tasks: placed } = kept.schedule
  const [away, setAway] = useState<readonly string[]>([])
  const [offered, setOffered] = useState<Schedule | null>(null)
  const [impossible, setImpossible] = useState<Schedule['impossible']>([])
  const [leftOut, setLeftOut] = useState<readonly string[]>([])
  const run = useScheduleRun()
  const { schedule } = kept
  const all = useMemo(
    () => planJobs(accepted, { items, works, schedule, timeZone }),
    [accepted, items, works, schedule, timeZone],
  )
  const jobs = useMemo(() => all.filter(({ id }) => !leftOut.includes(id)), [all, leftOut])
  const now = minutesSince(from, timeZone, useNow())
  /** The work of some jobs, with what has begun where it is, and the tasks as the bench and the hands have brought them. */
  const workOf = (some: typeof jobs, earliest: number) => {
    const planned = workPlan(some, {
      from,
      days,
      cooks: workCooks(cooks, { away, days: schedule.days }),
      settings,
      now: earliest,
    })
    const known = keptTasks(schedule, { told: plan.told, from, timeZone })
    const isPlaced = new Set(known.map(({ jobId }) => jobId))
    const begun = placedAsBegun(
      planned,
      some.filter(({ id }) => !isPlaced.has(id)),
    )
    const progressOf = (jobId: string) => some.find(({ id }) => id === jobId)?.progress ?? null
    const followed = followTasks([...known, ...begun], progressOf, now)
    return { work: withBegun(planned, followed), followed }
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: worked out anew when what it is made of changes, and each minute.
  const { work, followed } = useMemo(
    () => workOf(jobs, 0),
    [jobs, from, days, cooks, away, schedule, plan.told, timeZone, now],
  )
  const taskOf = new Map(work.tasks.map((task) => [task.id, task]))
  const nameOf = taskNames(work, jobs)
  const cookName = (id: string | null) => cooks.find((cook) => cook.id === id)?.name ?? ''
  const shown = followed.filter(({ id }) => taskOf.has(id))
  const keep = (tasks: readonly PlacedTask[]) =>
    kept.change({
      tasks: placedInOrder(work, tasks).map(({ cook, ...task }) => ({ ...task, cookId: cook, what: nameOf(task.id) })),
    })
  /** Makes it: all of it, or what has not begun from now on, beside what stands. */
  const make = (isRest: boolean, without: readonly string[] = []) => {
    const asked = workOf(
      jobs.filter(({ id }) => !without.includes(id)),
      isRest ? Math.max(0, now) : 0,
    ).work
    setImpossible([])
    run.make({ ...asked, part: isRest ? 'rest' : 'all' }, (schedule) => {
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
      cookName,
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
    move: (id: string, by: { minutes: number; lane?: Lane | undefined }) =>
      keep(
        moved(
          shown.map((task) => placedOf(task, schedule)),
          id,
          by,
        ),
      ),
    take: (schedule: Schedule) => {
      keep(schedule.tasks)
      setOffered(null)
    },
    leave: () => setOffered(null),
    /** Says when a delivery really comes; as it was ordered where nothing is said. */
    late: schedule.late,
    changeDays: (own: typeof schedule.days) => kept.change({ days: own }),
    daysSaid: schedule.days,
    changeLate: (late: typeof schedule.late) => kept.change({ late }),
    changeSettings: (next: typeof settings) => kept.change({ settings: next }),
    error: kept.error,
    retry: kept.retry,
  }
}
/** Where a task was placed, not where it was brought: that is kept. */
function placedOf(task: PlacedTask, { tasks }: KeptSchedule): PlacedTask {
  const kept = tasks.find(({ id }) => id === task.id)
  return kept ? { ...task, start: kept.start, end: kept.end, cook: kept.cookId, station: kept.station } : task
}

export type ScheduleRoomState = ReturnType<typeof useScheduleRoom>
