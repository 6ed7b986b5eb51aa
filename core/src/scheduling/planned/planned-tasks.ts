import { SPECIES } from '../../style/index.ts'
import type { HeldTask, ScheduleTask } from '../schedule.ts'
import { type JobTask, jobTasks } from './job-tasks.ts'
import { isAtBoard, isOnDuty, ON_DUTY } from './kinds.ts'
import { dutyShifts } from './pots.ts'
import { MINUTES_OF_A_DAY } from './settings.ts'
import type { FollowedTask, MarkedTask } from './task.ts'
import { ownSkill, type PlannedJob, shiftsOfDay, type WorkOptions, type WorkPlan } from './work.ts'

/**
 * The tasks of planned work: what goes before, each job in loads that are back in the cold in time, and what comes after
 * (setting, curing, a pot, packing). Cooks stand at the board in the hours of their week; where no cook says any, all day.
 */
export function workPlan(jobs: readonly PlannedJob[], options: WorkOptions): WorkPlan {
  const { days, cooks, settings } = options
  const ofJobs = jobs.map((job) => ({ id: job.id, tasks: jobTasks(job, options) }))
  const parts = ofJobs.flatMap(({ tasks }) => tasks ?? [])
  const hasPots = parts.some(({ work }) => isOnDuty(work.kind))
  return {
    tasks: parts.map(({ work }) => work),
    held: [],
    unwatched: ofJobs.flatMap(({ tasks }) => unwatchedOf(tasks ?? [])),
    tooWarm: ofJobs.flatMap(({ id, tasks }) => (tasks ? [] : [id])),
    request: {
      horizon: (days + 1) * MINUTES_OF_A_DAY,
      // Names of the schedule are ids here: a cook who is called otherwise keeps their work.
      cooks: [
        ...cooks.map((cook) => ({
          name: cook.id,
          skills: [ownSkill(cook.id), ...(cook.skills ?? SPECIES)],
          shifts: Array.from({ length: days }, (_, index) => index).flatMap((at) =>
            shiftsOfDay(cook, at, options).map(([begins, ends]): [number, number] => [
              at * MINUTES_OF_A_DAY + begins,
              at * MINUTES_OF_A_DAY + ends,
            ]),
          ),
        })),
        ...(hasPots ? [{ name: ON_DUTY, skills: [ON_DUTY], shifts: dutyShifts(days, settings) }] : []),
      ],
      stations: [
        { name: 'board', count: settings.boards },
        ...(settings.saws > 0 ? [{ name: 'saw', count: settings.saws }] : []),
        ...(settings.stoves > 0 ? [{ name: 'stove', count: settings.stoves }] : []),
      ],
      species: {
        order: [...SPECIES],
        cleanDown: settings.cleanDown,
        against: settings.against,
        cleanAt: Array.from({ length: days }, (_, index) => (index + 1) * MINUTES_OF_A_DAY),
      },
      tasks: parts.map(({ task }) => task),
    },
  }
}

/** Ids of what is on a stove without anybody to take it off. */
function unwatchedOf(tasks: readonly JobTask[]): string[] {
  const kinds = new Set(tasks.map(({ work }) => work.kind))
  return tasks.flatMap(({ work }) => {
    if (work.kind === 'stock') return kinds.has('stock-off') ? [] : [work.id]
    if (work.kind === 'confit') return kinds.has('confit-off') ? [] : [work.id]
    return []
  })
}

/**
 * Where the loads of jobs lie that were begun without being placed before: one after the other from the time at which the
 * job began, each job on a board of its own.
 */
export function placedAsBegun({ request, tasks }: WorkPlan, jobs: readonly PlannedJob[]): MarkedTask[] {
  return jobs.flatMap(({ id, progress }, index): MarkedTask[] => {
    if (progress === null) return []
    let end = progress.start
    return tasks.flatMap((task, place): MarkedTask[] => {
      const asked = request.tasks[place]
      if (task.jobId !== id || !isAtBoard(task.kind) || !asked) return []
      // Parts of a line overlap: the next begins with what is handed on first.
      const start = end + Math.min(0, asked.after[0]?.lag ?? 0)
      const placed = { start, end: start + asked.minutes, cook: asked.needs === 'cook' ? progress.cook : null }
      end = Math.max(end, placed.end)
      const station = asked.station === null ? null : { name: asked.station, number: index + 1 }
      return [{ id: task.id, jobId: id, kind: task.kind, upTo: task.upTo, begun: null, done: null, station, ...placed }]
    })
  })
}

/** What followed at once and has not is back in the cold by now: it may come whenever there is time. */
function stillInTime(
  after: ScheduleTask['after'][number],
  { notBefore }: Pick<ScheduleTask, 'notBefore'>,
  before: FollowedTask | undefined,
): ScheduleTask['after'][number] {
  const { lag, within } = after
  return before && within !== null && before.end + lag + within < notBefore ? { ...after, within: null } : after
}

/** The same work with what has begun or is done held where it really is, for as long as it really took. */
export function withBegun(plan: WorkPlan, followed: readonly FollowedTask[]): WorkPlan {
  const begunOf = new Map(followed.flatMap((task) => (task.state === 'waiting' ? [] : [[task.id, task] as const])))
  return {
    ...plan,
    held: plan.request.tasks.flatMap(({ id }): HeldTask[] => {
      const begun = begunOf.get(id)
      if (!begun) return []
      return [
        { id, start: begun.start, cook: begun.cook, unit: begun.station === null ? null : begun.station.number - 1 },
      ]
    }),
    request: {
      ...plan.request,
      tasks: plan.request.tasks.map((task) => {
        const begun = begunOf.get(task.id)
        // What has begun is where it is, whatever it was to follow.
        if (begun) return { ...task, minutes: begun.end - begun.start, notBefore: 0, after: [] }
        return { ...task, after: task.after.map((entry) => stillInTime(entry, task, begunOf.get(entry.task))) }
      }),
    },
  }
}
