import { z } from 'zod'
import { MAX_PLAN_DAYS } from '../limits/index.ts'
import {
  keptTask,
  minuteOfDay,
  minuteOfPlan,
  stationUnit,
  styleWork,
  taskId,
  WORK_KINDS,
  workSettings,
} from '../scheduling/index.ts'
import { count, day, id, instant, minutes, name, positiveCount } from '../values/index.ts'

const MAX_TASKS = 400
/** Who does what when, as it was made or moved by hand; minutes from the first day of the plan. */
export const keptSchedule = z.strictObject({
  settings: workSettings,
  /** Deliveries that come at another time than was ordered, by their expected line. */
  late: z.array(z.strictObject({ expectedLineId: id, comes: minuteOfPlan })).max(MAX_TASKS),
  /** Days of the plan, from 0, on which a cook is there at other times than in the week. */
  days: z
    .array(
      z.strictObject({
        cookId: id,
        day: count.max(MAX_PLAN_DAYS),
        shifts: z
          .array(
            z.tuple([minuteOfDay, minuteOfDay]).refine(([from, until]) => from < until, {
              message: 'must end after it begins',
            }),
          )
          .max(8),
      }),
    )
    .max(MAX_TASKS),
  tasks: z.array(keptTask).max(MAX_TASKS),
})
export type KeptSchedule = z.infer<typeof keptSchedule>
export const scheduleEdit = z
  .strictObject({ version: positiveCount, schedule: keptSchedule })
  .meta({ id: 'ScheduleEdit' })
export type ScheduleEdit = z.infer<typeof scheduleEdit>

/** How the schedules of plans that are not over stand: minutes by which their work is done too late, as it is placed. */
export const schedulesStanding = z
  .array(z.object({ planId: id, lateMinutes: z.number().min(0) }))
  .meta({ id: 'SchedulesStanding' })
export type SchedulesStanding = z.infer<typeof schedulesStanding>

/** What a hand told of a task that no weighing tells of. */
export const toldTask = z
  .strictObject({ taskId, begunAt: instant.nullable(), doneAt: instant.nullable() })
  .refine(({ begunAt, doneAt }) => begunAt === null || doneAt === null || begunAt <= doneAt, {
    path: ['doneAt'],
    message: 'must not be before it began',
  })
  .meta({ id: 'ToldTask' })
export const toldTasks = z.array(toldTask)
export type ToldTask = z.infer<typeof toldTask>

/** What is known of the work of styles: what the kitchen said of each, and minutes of a unit by cooks who cut it often. */
export const stylesWork = z
  .array(
    z.object({
      styleId: id,
      work: styleWork.nullable(),
      minutesBy: z.array(z.object({ cookId: id, minutesPerUnit: minutes, records: count })),
    }),
  )
  .meta({ id: 'StylesWork' })
export type StylesWork = z.infer<typeof stylesWork>

/** The tasks of one day of every accepted plan, where they really are; minutes from the day's midnight. */
export const daySchedule = z
  .object({
    day,
    tasks: z.array(
      z.object({
        id: taskId,
        planId: id,
        plan: name,
        jobId: id,
        /** The record that it is cut in; null before it is begun. */
        fabricationId: id.nullable(),
        what: z.string(),
        kind: z.enum(WORK_KINDS),
        state: z.enum(['waiting', 'running', 'done']),
        start: z.number(),
        end: z.number(),
        cookId: id.nullable(),
        station: stationUnit,
        begunAt: instant.nullable(),
        doneAt: instant.nullable(),
      }),
    ),
  })
  .meta({ id: 'DaySchedule' })
export type DaySchedule = z.infer<typeof daySchedule>
export type DayTask = DaySchedule['tasks'][number]
