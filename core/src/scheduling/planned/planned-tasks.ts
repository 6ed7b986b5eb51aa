import type { HeldTask } from '../schedule.ts'
import type { FollowedTask, KeptTask } from './follow.ts'
import { jobTasks } from './job-tasks.ts'
import { SKILLS } from './week.ts'
import { MINUTES_OF_A_DAY, ownSkill, type PlannedJob, shiftsOfDay, type WorkOptions, type WorkPlan } from './work.ts'

/**
 * The tasks of planned work: what goes before, each job in loads that are back in the cold in time, and what comes after
 * (setting, curing, a pot, packing). Cooks stand at the board in the hours of their week; where no cook says any, all day.
 */
export function workPlan(jobs: readonly PlannedJob[], options: WorkOptions): WorkPlan {
  const { days, cooks, settings } = options
  const parts = jobs.flatMap((job) => jobTasks(job, options))
  return {
    tasks: parts.map(({ work }) => work),
    held: [],
    request: {
      horizon: (days + 1) * MINUTES_OF_A_DAY,
      // Names of the schedule are ids here: a cook who is called otherwise keeps their work.
      cooks: cooks.map((cook) => ({
        name: cook.id,
        skills: [ownSkill(cook.id), ...(cook.skills ?? SKILLS)],
        shifts: Array.from({ length: days }, (_, at) => at).flatMap((at) =>
          shiftsOfDay(cook, at, options).map(([begins, ends]): [number, number] => [
            at * MINUTES_OF_A_DAY + begins,
            at * MINUTES_OF_A_DAY + ends,
          ]),
        ),
      })),
      stations: [
        { name: 'board', count: settings.boards },
        ...(settings.saws > 0 ? [{ name: 'saw', count: settings.saws }] : []),
        ...(settings.stoves > 0 ? [{ name: 'stove', count: settings.stoves }] : []),
      ],
      species: {
        order: [...SKILLS],
        cleanDown: settings.cleanDown,
        against: settings.against,
        cleanAt: Array.from({ length: days }, (_, at) => (at + 1) * MINUTES_OF_A_DAY),
      },
      tasks: parts.map(({ task }) => task),
    },
  }
}

/**
 * Where the loads of jobs lie that were begun without being placed before: one after the other from the time at which the
 * job began, each job on a board of its own.
 */
export function placedAsBegun({ request, tasks }: WorkPlan, jobs: readonly PlannedJob[]): KeptTask[] {
  return jobs.flatMap(({ id, progress }, at): KeptTask[] => {
    if (progress === null) return []
    let start = progress.start
    return tasks.flatMap((task, place): KeptTask[] => {
      const asked = request.tasks[place]
      if (task.jobId !== id || task.kind !== 'cut' || !asked) return []
      const own = { start, end: start + asked.minutes, cook: progress.cook }
      start = own.end
      const station = asked.station === null ? null : { name: asked.station, number: at + 1 }
      return [{ id: task.id, jobId: id, kind: task.kind, upTo: task.upTo, begun: null, done: null, station, ...own }]
    })
  })
}

/** The same work with what has begun or is done held where it really is, for as long as it really took. */
export function withBegun(plan: WorkPlan, followed: readonly FollowedTask[]): WorkPlan {
  const begunOf = new Map(followed.flatMap((each) => (each.state === 'waiting' ? [] : [[each.id, each] as const])))
  return {
    ...plan,
    held: plan.request.tasks.flatMap(({ id }): HeldTask[] => {
      const own = begunOf.get(id)
      if (!own) return []
      return [{ id, start: own.start, cook: own.cook, unit: own.station === null ? null : own.station.number - 1 }]
    }),
    request: {
      ...plan.request,
      tasks: plan.request.tasks.map((task) => {
        const own = begunOf.get(task.id)
        // What has begun is where it is, whatever it was to follow.
        return own ? { ...task, minutes: own.end - own.start, notBefore: 0, after: [] } : task
      }),
    },
  }
}
