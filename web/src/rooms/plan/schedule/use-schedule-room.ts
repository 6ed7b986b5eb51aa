import type { KeptSchedule } from '@fleam/core/plans'
import {
  type KeptTask,
  ON_DUTY,
  type PlacedTask,
  placedAsTheyAre,
  placedInOrder,
  placedTaskOf,
  type Schedule,
  scheduleFaults,
  soonestPlaces,
} from '@fleam/core/scheduling'
import { taskNames } from '@fleam/core/wording'
import { useEffect, useRef, useState } from 'react'
import { type Lane, moved } from './moved.ts'
import { useKeptSchedule } from './use-kept-schedule.ts'
import { useScheduleRun } from './use-schedule-run.ts'
import { useWork, type WorkProps } from './use-work.ts'

/** Nobody is late for so little. */
const GRACE_MINUTES = 5

export interface ScheduleRoomProps extends WorkProps {
  /** The plan was read from the server, and is not what this device remembered of it. */
  isRead: boolean
}

/** What stands in the room of a schedule, and what can be done there. */
export function useScheduleRoom(props: ScheduleRoomProps) {
  const { plan, accepted, cooks } = props
  const { schedule, change, error, retry, isOvertaken, showTheirs } = useKeptSchedule(plan)
  const [away, setAway] = useState<readonly string[]>([])
  const [leftOut, setLeftOut] = useState<readonly string[]>([])
  const { now, all, jobs, work, followed, workOf } = useWork(props, { schedule, away, leftOut })
  const [offered, setOffered] = useState<Schedule | null>(null)
  const [impossible, setImpossible] = useState<Schedule['impossible']>([])
  const run = useScheduleRun()
  const taskOf = new Map(work.tasks.map((task) => [task.id, task]))
  const nameOf = taskNames(work, jobs)
  const shown = followed.filter(({ id }) => taskOf.has(id))
  const keep = (tasks: KeptTask[]) => change({ tasks })
  /** Makes it: all of it, or what has not begun from now on, beside what stands. */
  const make = (isRest: boolean, without: readonly string[] = []) => {
    const asked = jobs.filter(({ id }) => !without.includes(id))
    setImpossible([])
    run.make({ ...workOf(asked, isRest ? Math.max(0, now) : 0).work, part: isRest ? 'rest' : 'all' }, (made) => {
      if (made.status === 'impossible') setImpossible(made.impossible)
      else if (isRest && shown.length > 0) setOffered(made)
      else keep(placedInOrder(work, made.tasks, nameOf))
    })
  }
  useOnce(props.isRead, () => {
    if (plan.schedule === null && work.tasks.length > 0) make(false)
  })
  return {
    ...{ schedule, away, setAway, offered, impossible, run, jobs, now, work, nameOf, shown, make },
    ...{ from: accepted.draft.from, days: accepted.draft.days, error, retry, isOvertaken, showTheirs, change },
    cookName: (id: string | null) =>
      id === ON_DUTY ? 'Whoever is on duty' : (cooks.find((cook) => cook.id === id)?.name ?? ''),
    hasAny: schedule.tasks.length > 0,
    /** Something was planned or changed since it was made. */
    isMissing: shown.length < work.tasks.length,
    /** Where what waits would be if it began now: what should have begun is late from then on. */
    soonest: soonestPlaces(work.request, shown, now),
    faults: scheduleFaults(work.request, shown, work.held),
    /** What should have begun by now: it waits, and everything behind it too. */
    overdue: shown.filter(({ state, start }) => state === 'waiting' && start < now - GRACE_MINUTES),
    leftOut: all.filter(({ id }) => leftOut.includes(id)),
    takeIn: () => setLeftOut([]),
    /** What cannot be done is left out, and said; everything else gets its time. */
    scheduleOthers: () => {
      const without = impossible.flatMap(({ task }) => taskOf.get(task)?.jobId ?? [])
      setLeftOut([...leftOut, ...without])
      make(false, without)
    },
    move: (id: string, by: { minutes: number; lane?: Lane | undefined }) =>
      keep(placedAsTheyAre(work, moved(placesOf(shown, schedule), id, by), nameOf)),
    take: (answered: Schedule) => {
      keep(placedInOrder(work, answered.tasks, nameOf))
      setOffered(null)
    },
    leave: () => setOffered(null),
  }
}
export type ScheduleRoomState = ReturnType<typeof useScheduleRoom>

/** Does something once, as soon as it may. */
function useOnce(isAllowed: boolean, act: () => void): void {
  const isDone = useRef(false)
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, whatever it would do later.
  useEffect(() => {
    if (!isAllowed || isDone.current) return
    isDone.current = true
    act()
  }, [isAllowed])
}

/** Where tasks were placed, not where they were brought: that is kept. */
const placesOf = (tasks: readonly PlacedTask[], { tasks: kept }: KeptSchedule): PlacedTask[] => {
  const keptOf = new Map(kept.map((task) => [task.id, placedTaskOf(task)]))
  return tasks.map((task) => keptOf.get(task.id) ?? task)
}
