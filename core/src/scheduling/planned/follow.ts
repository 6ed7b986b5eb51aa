import type { ScheduleRequest } from '../schedule.ts'
import { isAtBoard, type WorkKind } from './kinds.ts'
import type { FollowedTask, MarkedTask } from './task.ts'

/** How far a job on the board is; minutes from the first day of its plan. */
export interface JobProgress {
  start: number
  /** Units of which everything that is counted was weighed. */
  unitsDone: number
  /** Time of the last weighing; null before the first. */
  lastAt: number | null
  /** When it was finished; null while it is on the board. */
  end: number | null
  /** Who cuts it. */
  cook: string | null
}

/**
 * Tasks where they really are: what the bench has cut lies where it was cut, what is on the board reaches at least until
 * now, and what only passes begins when what it waits for is over. What waits stays where it was placed.
 */
export function followTasks(
  tasks: readonly MarkedTask[],
  progressOf: (jobId: string) => JobProgress | null,
  now: number,
): FollowedTask[] {
  const jobs = new Map<string, MarkedTask[]>()
  for (const task of tasks) jobs.set(task.jobId, [...(jobs.get(task.jobId) ?? []), task])
  const followed = [...jobs].flatMap(([jobId, tasksOfJob]) => followJob(tasksOfJob, progressOf(jobId), now))
  const of = new Map(followed.map((task) => [task.id, task]))
  return tasks.map(({ id }) => of.get(id) as FollowedTask)
}

/**
 * Where tasks end at the soonest: what should have begun begins now, and what waits for it after that, by its `after`s.
 * Cooks and boards are not asked again: a schedule that is made anew can only be later.
 */
export function soonestPlaces(
  { tasks }: Pick<ScheduleRequest, 'tasks'>,
  followed: readonly FollowedTask[],
  now: number,
): FollowedTask[] {
  const waitsFor = new Map(tasks.map(({ id, after }) => [id, after]))
  const places = new Map<string, FollowedTask>()
  for (const task of [...followed].sort((a, b) => a.start - b.start)) {
    const ends = (waitsFor.get(task.id) ?? []).map((entry) => (places.get(entry.task)?.end ?? 0) + entry.lag)
    const start = task.state === 'waiting' ? Math.max(task.start, now, ...ends) : task.start
    places.set(task.id, { ...task, start, end: task.end + start - task.start })
  }
  return followed.map(({ id }) => places.get(id) as FollowedTask)
}

function followJob(tasks: readonly MarkedTask[], progress: JobProgress | null, now: number): FollowedTask[] {
  const cuts = tasks.filter(({ kind }) => isAtBoard(kind)).sort((a, b) => a.start - b.start)
  const cutEnd = Math.max(...cuts.map(({ end }) => end))
  const later = progress !== null && progress.end !== null && cuts.length > 0 ? progress.end - cutEnd : null
  return [
    ...(progress ? followCuts(cuts, progress, now) : cuts.map(waiting)),
    ...tasks
      .filter(({ kind }) => !isAtBoard(kind))
      .map((task) => {
        const handTask = tasks.find(({ kind }) => kind === HAND_BEFORE[task.kind]) ?? null
        return followOther(task, { progress, later, now, handTask })
      }),
  ]
}

const waiting = (task: MarkedTask): FollowedTask => ({ ...task, state: 'waiting' })

function followCuts(cuts: readonly MarkedTask[], progress: JobProgress, now: number): FollowedTask[] {
  const { start, unitsDone, lastAt, end } = progress
  const isDone = ({ upTo }: MarkedTask) => end !== null || (upTo !== null && upTo <= unitsDone)
  const done = cuts.filter(isDone)
  // Where one cook was to cut all of it, it is whoever does.
  const isOneCook = new Set(cuts.flatMap(({ cook }) => cook ?? [])).size === 1
  const theirs = (task: MarkedTask) =>
    isOneCook && task.cook !== null && progress.cook !== null ? { ...task, cook: progress.cook } : task
  const [first, last] = [done[0]?.start ?? start, Math.max(...done.map((task) => task.end))]
  const until = Math.max(start, end ?? lastAt ?? now)
  const scale = last > first ? (until - start) / (last - first) : 0
  const next = Math.min(...cuts.filter((task) => !isDone(task)).map(({ upTo }) => upTo ?? 0))
  const isNext = (task: MarkedTask) => !isDone(task) && (task.upTo ?? 0) === next
  const placed = Math.min(...cuts.filter(isNext).map((task) => task.start))
  const from = done.length > 0 ? until : start
  // A load that no line cuts is cut by who is at the board, whoever was to.
  const isLine = cuts.filter(isNext).length > 1
  const atBoard = (task: MarkedTask) =>
    isLine || progress.cook === null || task.cook === null ? theirs(task) : { ...task, cook: progress.cook }
  return cuts.map((task) => {
    if (isDone(task)) {
      const place = { start: start + (task.start - first) * scale, end: start + (task.end - first) * scale }
      return { ...theirs(task), ...place, state: 'done' }
    }
    if (!isNext(task)) return waiting(task)
    const begins = from + task.start - placed
    return { ...atBoard(task), start: begins, end: Math.max(begins + task.end - task.start, now), state: 'running' }
  })
}

interface OtherOptions {
  progress: JobProgress | null
  /** Minutes by which the cutting ended later than it was placed; null while it is not over. */
  later: number | null
  now: number
  /** What a hand does right before it; null where nobody does anything. */
  handTask: MarkedTask | null
}

/** What a hand told; else what passes by itself begins when the cutting is over, and ends when its time is. */
function followOther(task: MarkedTask, { progress, later, now, handTask }: OtherOptions): FollowedTask {
  const { begun, done, cook, kind } = task
  const length = task.end - task.start
  const passing = (start: number): FollowedTask => {
    const state = now < start ? 'waiting' : now < start + length ? 'running' : 'done'
    return { ...task, start, end: start + length, state }
  }
  if (done !== null) return { ...task, start: Math.min(begun ?? done - length, done), end: done, state: 'done' }
  if (begun !== null && cook !== null) {
    return { ...task, start: begun, end: Math.max(begun + length, now), state: 'running' }
  }
  if (begun !== null) return passing(begun)
  if (cook !== null) return waiting(task)
  // A pot that nobody has put on does not boil, whatever the time is.
  if (handTask) return handTask.done === null ? waiting(task) : passing(handTask.done + task.start - handTask.end)
  if (!BEFORE_CUTTING.includes(kind)) return later === null ? waiting(task) : passing(task.start + later)
  // What was to happen before the cutting is over once that has begun.
  return progress === null
    ? waiting(task)
    : { ...passing(Math.min(task.start, progress.start - length)), state: 'done' }
}

/** What passes by itself once a hand has done something. */
const HAND_BEFORE: Partial<Record<WorkKind, WorkKind>> = {
  confit: 'confit-on',
  chill: 'confit-off',
  stock: 'stock-on',
}

const BEFORE_CUTTING: readonly WorkKind[] = ['thaw', 'dry', 'temper']
