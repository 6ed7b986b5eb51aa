import { z } from 'zod'
import { MAX_SCHEDULE_MINUTES } from '../../limits/index.ts'
import { count, id, name, positiveCount } from '../../values/index.ts'
import type { PlacedTask } from '../schedule.ts'
import { isOnDuty, ON_DUTY, WORK_KINDS, type WorkKind } from './kinds.ts'

/*
 * A task of planned work, from an accepted plan to a bar on the wall. Each stage adds to the one before:
 *
 *   WorkTask      what it is of its job; made by `jobTasks`, beside the `ScheduleTask` by which the scheduler places it
 *   PlacedTask    when, by whom and where, as the scheduler answers
 *   KeptTask      both, as a plan keeps them and as they cross the wire
 *   MarkedTask    with what hands said of it: begun, done
 *   FollowedTask  where it really is: `followTasks` moves it by what the bench weighed
 *   DayTask       the same of one day of all plans, for the wall; in `core/plans`
 *
 * The scheduler knows cooks by a name, and whoever is on duty is one of them. What is kept has ids, and none for whoever is
 * on duty. `keptTaskOf` and `cookIdOf` lead out of the scheduler, `placedTaskOf` leads back: nothing else turns them.
 */

/** What a task is of the work: to be named on a screen. */
export interface WorkTask {
  id: string
  jobId: string
  kind: WorkKind
  /** Units of a load, and which load of how many. */
  units: number
  load: number
  loads: number
  /** Which part of the steps, from 1, of how many, with the ids of its steps; null where a unit is cut in one go. */
  part: { number: number; of: number; steps: readonly string[] } | null
  /** Units of the job that are cut when it ends; null where it is no cutting. */
  upTo: number | null
  /** Nobody measured how long it takes. */
  isAssumed: boolean
}

/** From the first day of a plan. */
export const minuteOfPlan = z.number().min(0).max(MAX_SCHEDULE_MINUTES)
export const taskId = z.string().max(80)
/** A unit of a station, counted from 1; null where the task needs none. */
export const stationUnit = z.strictObject({ name, number: positiveCount }).nullable()

/** A task as a plan keeps it; minutes from the first day of the plan. */
export const keptTask = z
  .strictObject({
    id: taskId,
    /** The planned fabrication that it is a part of. */
    jobId: id,
    /** What it is, in the words of the screen on which it was made. */
    what: z.string().max(400),
    kind: z.enum(WORK_KINDS),
    /** Units of its job that are cut when it ends; null where it is no cutting. */
    upTo: count.nullable(),
    start: minuteOfPlan,
    end: minuteOfPlan,
    cookId: id.nullable(),
    station: stationUnit,
  })
  .refine(({ start, end }) => start <= end, { path: ['end'], message: 'must not be before it begins' })
export type KeptTask = z.infer<typeof keptTask>

/** A kept task as the scheduler places tasks. */
export const placedTaskOf = ({ cookId, what: _what, ...task }: KeptTask): PlacedWork => ({
  ...task,
  cook: isOnDuty(task.kind) ? ON_DUTY : cookId,
})
type PlacedWork = PlacedTask & Pick<WorkTask, 'jobId' | 'kind' | 'upTo'>

/** The id of a cook of the scheduler; null for whoever is on duty. */
export const cookIdOf = (cook: string | null): string | null => (cook === ON_DUTY ? null : cook)

/** A placed task as a plan keeps it. */
export function keptTaskOf({ id, jobId, kind, upTo }: WorkTask, placed: PlacedTask, what: string): KeptTask {
  const { start, end, cook, station } = placed
  return { id, jobId, what, kind, upTo, start, end, cookId: cookIdOf(cook), station }
}

/** A task as it was placed, with what a hand told of it: nobody weighs what only passes or is packed. */
export interface MarkedTask extends PlacedWork {
  begun: number | null
  done: number | null
}

export interface FollowedTask extends MarkedTask {
  state: 'waiting' | 'running' | 'done'
}
