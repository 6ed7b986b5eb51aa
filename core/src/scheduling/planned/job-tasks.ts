import { daysBetween } from '../../calendar/index.ts'
import { DEFAULT_COLD_LIMITS } from '../../fabrication/index.ts'
import type { ScheduleTask } from '../schedule.ts'
import { type BoardWay, boardWay, CARRY_MINUTES } from './board-way.ts'
import { ON_DUTY, type WorkKind } from './kinds.ts'
import { isWatched, KEPT_WARM_MINUTES, PUT_ON_MINUTES, PUT_ON_WITHIN, TAKE_OFF_MINUTES } from './pots.ts'
import { MINUTES_OF_A_DAY } from './settings.ts'
import { thawHours } from './style-work.ts'
import type { WorkTask } from './task.ts'
import { ownSkill, type PlannedJob, shiftsOfDay, type WorkCook, type WorkOptions } from './work.ts'

export interface JobTask {
  task: ScheduleTask
  work: WorkTask
}

type Added = Pick<ScheduleTask, 'minutes'> & Partial<Omit<ScheduleTask, 'id' | 'job' | 'minutes'>>
type MoreOfWork = Partial<Omit<WorkTask, 'id' | 'jobId' | 'kind'>>

/**
 * The tasks of one job in their order: what goes before the board, its loads, and what comes after. Null where one unit
 * alone would be out of the cold for longer than it may be: there is no such work.
 */
export function jobTasks(job: PlannedJob, options: WorkOptions): JobTask[] | null {
  const { from, days, settings, now } = options
  const dayAt = (day: string) => daysBetween(from, day) * MINUTES_OF_A_DAY
  const horizon = (days + 1) * MINUTES_OF_A_DAY
  const due =
    job.serves === null ? null : Math.max(0, Math.min(horizon, dayAt(job.serves) + settings.service - settings.buffer))
  // A delivery that is not there yet can be thawed no sooner than it comes.
  const arrives = Math.max(0, now, job.comes ?? 0)
  const parts: JobTask[] = []
  const add = (kind: WorkKind, at: string, { minutes, ...task }: Added, more: MoreOfWork = {}): string => {
    const id = `${job.id} ${kind} ${at}`
    const bare = { skill: null, station: null, species: null, after: [], notBefore: arrives, due: null }
    parts.push({
      task: {
        id,
        job: job.id,
        needs: kind === 'cut' || kind === 'pack' ? 'cook' : 'nobody',
        minutes,
        ...bare,
        ...task,
      },
      work: {
        ...{ id, jobId: job.id, kind, units: job.units, load: 1, loads: 1, part: null, upTo: null, isAssumed: true },
        ...more,
      },
    })
    return id
  }
  const passes = (kind: WorkKind, hours: number, before: readonly string[], more: Partial<Added> = {}) =>
    hours > 0 ? [add(kind, '1', { minutes: hours * 60, after: after(before), ...more })] : before
  const { work } = job
  const thawed = passes('thaw', work.isFrozen ? thawHours(job.unitGrams) : 0, [])
  const before = passes('dry', work.dryHours, thawed)
  const cuts = addLoads(job, options, { add, before, notBefore: Math.max(arrives, dayAt(job.day)) })
  if (!cuts) return null
  /** Put on and taken off by whoever is on duty; where nobody would be when it is done, it passes by itself, and that is told. */
  const onTheStove = (kind: 'stock' | 'confit', hours: number, ready: readonly string[]): readonly string[] => {
    const stove = { station: settings.stoves > 0 ? 'stove' : null }
    if (hours === 0 || !isWatched(hours, settings)) return passes(kind, hours, ready, stove)
    const byHand = { needs: 'cook' as const, skill: ON_DUTY }
    const on = add(`${kind}-on`, '1', { ...byHand, minutes: PUT_ON_MINUTES, after: after(ready) })
    const [hot = on] = passes(kind, hours, [on], { ...stove, after: after([on], PUT_ON_WITHIN) })
    return [add(`${kind}-off`, '1', { ...byHand, minutes: TAKE_OFF_MINUTES, after: after([hot], KEPT_WARM_MINUTES) })]
  }
  const set = passes('set', work.setHours, cuts)
  const cured = passes('cure', work.cureHours, set)
  const hot = onTheStove('confit', work.confitHours, cured)
  const cold = passes('chill', work.chillHours, hot)
  add(
    'pack',
    '1',
    { minutes: settings.packMinutes, after: after(cold), due, slack: settings.slack },
    { units: job.portions },
  )
  if (settings.stoves > 0) onTheStove('stock', work.stockHours, cuts)
  return parts
}

const after = (ids: readonly string[], within: number | null = null) => ids.map((task) => ({ task, lag: 0, within }))

/** Adds a task of a kind and answers its id. */
export type AddTask = (kind: WorkKind, at: string, task: Added, more?: MoreOfWork) => string

interface LoadOptions {
  add: AddTask
  before: readonly string[]
  notBefore: number
}

/** The loads of a job, tempered where it is said, part by part; says what ends the last of each. Null where one is too warm. */
function addLoads(job: PlannedJob, options: WorkOptions, { add, before, notBefore }: LoadOptions): string[] | null {
  const { settings } = options
  const { minutesPerUnit, skill, isOwn } = handOf(job, options)
  const cooks = lineOf(job, options)
  const stood = job.work.temperHours * 60
  const inAll = DEFAULT_COLD_LIMITS.outMinutes - stood
  const way = boardWay({
    ...{ units: job.units, minutesPerUnit, steps: job.steps, cooks: cooks.length },
    ...{ stretch: settings.boardMinutes, inAll, isTempered: stood > 0 },
    together: togetherOn(cooks, job, options) - job.setUp,
  })
  if (way.kind === 'too-warm') return null
  const { perLoad, loads, parts } = way
  const station = job.needsSaw && settings.saws > 0 ? 'saw' : 'board'
  return Array.from({ length: loads }, (_, index) => index + 1).flatMap((load) => {
    const units = Math.min(perLoad, job.units - (load - 1) * perLoad)
    if (units <= 0) return []
    const own = { units, load, loads, upTo: Math.min(job.units, load * perLoad) }
    const setUp = load === 1 ? job.setUp : 0
    let last = after(before)
    if (stood > 0) {
      const id = add('temper', `${load}`, { minutes: stood, after: last }, { units, load, loads })
      // It is laid out while the load stands there.
      last = [{ task: id, lag: 0 - setUp, within: mayWait(way, { units, stretch: settings.boardMinutes, inAll }) }]
    }
    return parts.flatMap((of, place): string[] => {
      const part = parts.length > 1 ? { number: place + 1, of: parts.length, steps: of.steps } : null
      const minutes = way.kind === 'line' ? (units - 1) * way.pace + of.minutes : units * of.minutes
      const cook = cooks.length > 1 ? cooks[Math.min(place, cooks.length - 1)] : null
      const id = add(
        'cut',
        part ? `${load} ${part.number}` : `${load}`,
        {
          minutes: minutes + (place === 0 ? setUp : 0),
          ...{ skill: cook ? ownSkill(cook) : skill, station, species: job.species, notBefore, after: last },
        },
        { ...own, part, isAssumed: part !== null && !isOwn },
      )
      if (place === parts.length - 1) return [id]
      last =
        way.kind === 'line'
          ? // The first of them is handed on before the last is begun.
            [{ task: id, lag: -(units - 1) * way.pace, within: way.mayWait }]
          : after([
              add('cold', `${load} ${place + 1}`, { minutes: CARRY_MINUTES, after: after([id], 0) }, { ...own, part }),
            ])
      return []
    })
  })
}

/** Minutes that a load which was tempered may wait at the board before it is cut. */
function mayWait(
  way: Exclude<BoardWay, { kind: 'too-warm' }>,
  { units, stretch, inAll }: { units: number; stretch: number; inAll: number },
): number {
  if (way.kind === 'line') return way.mayWait
  const [first] = way.parts
  const cutting = way.parts.reduce((sum, { minutes }) => sum + minutes, 0) * units
  return Math.max(0, Math.min(stretch - (first?.minutes ?? 0) * units, inAll - cutting))
}

/** Minutes of a unit and who may cut it: the cook who is said to, by their own minutes, where they have the hours. */
function handOf(job: PlannedJob, options: WorkOptions) {
  const usual = job.units > 0 ? Math.max(0, job.minutes - job.setUp) / job.units : 0
  const theirMinutes = job.cookId === null ? undefined : job.minutesBy[job.cookId]
  const theirs = theirMinutes ?? usual
  const isTheirs = job.cookId !== null && canAlone(job, theirs, options)
  return {
    minutesPerUnit: isTheirs ? theirs : usual,
    skill: isTheirs && job.cookId !== null ? ownSkill(job.cookId) : job.species,
    isOwn: isTheirs && theirMinutes !== undefined,
  }
}

/** Minutes at the board on the day of a job. */
function minutesOn(cook: WorkCook, { day }: PlannedJob, options: WorkOptions): number {
  const shifts = shiftsOfDay(cook, daysBetween(options.from, day), options)
  return shifts.reduce((sum, [from, until]) => sum + until - from, 0)
}

/** Whether the cook who is said to cut it has the hours of its day for it. */
function canAlone(job: PlannedJob, minutesPerUnit: number, options: WorkOptions): boolean {
  const cook = options.cooks.find(({ id }) => id === job.cookId)
  return cook !== undefined && minutesOn(cook, job, options) >= job.units * minutesPerUnit + job.setUp
}

/** Ids of who stands in a line, no more than there are boards: those of its day with the most hours; empty for one cook. */
function lineOf(job: PlannedJob, options: WorkOptions): string[] {
  const { boards, saws } = options.settings
  const able = options.cooks.filter(({ skills }) => skills === null || skills.includes(job.species))
  const there = able
    .map((cook) => ({ id: cook.id, minutes: minutesOn(cook, job, options) }))
    .filter(({ minutes }) => minutes > 0)
    .sort((a, b) => b.minutes - a.minutes)
    .slice(0, Math.min(job.work.line, job.needsSaw && saws > 0 ? saws : boards))
  return there.length > 1 ? there.map(({ id }) => id) : []
}

/** The longest stretch for which some cooks are there together on the day of a job, minutes. */
function togetherOn(ids: readonly string[], { day }: PlannedJob, options: WorkOptions): number {
  const at = daysBetween(options.from, day)
  const shifts = options.cooks.filter(({ id }) => ids.includes(id)).map((cook) => shiftsOfDay(cook, at, options))
  const [first = [], ...others] = shifts
  const shared = others.reduce<readonly (readonly [number, number])[]>(
    (known, stretch) =>
      known.flatMap(([from, until]) =>
        stretch.flatMap(([begins, ends]): [number, number][] =>
          Math.min(until, ends) > Math.max(from, begins) ? [[Math.max(from, begins), Math.min(until, ends)]] : [],
        ),
      ),
    first,
  )
  return Math.max(0, ...shared.map(([from, until]) => until - from))
}
