import { daysBetween } from '../../calendar/index.ts'
import { batchLoads } from '../../weighing/index.ts'
import type { ScheduleTask } from '../schedule.ts'
import type { WorkKind } from './kinds.ts'
import { thawHours } from './style-work.ts'
import {
  MINUTES_OF_A_DAY,
  ownSkill,
  type PlannedJob,
  shiftsOfDay,
  type WorkCook,
  type WorkOptions,
  type WorkTask,
} from './work.ts'

export interface JobTask {
  task: ScheduleTask
  work: WorkTask
}

type Added = Pick<ScheduleTask, 'minutes'> & Partial<Omit<ScheduleTask, 'id' | 'job' | 'minutes'>>
type Told = Partial<Omit<WorkTask, 'id' | 'jobId' | 'kind'>>

/** The tasks of one job in their order: what goes before the board, its loads, and what comes after. */
export function jobTasks(job: PlannedJob, options: WorkOptions): JobTask[] {
  const { from, days, settings, now } = options
  const dayAt = (day: string) => daysBetween(from, day) * MINUTES_OF_A_DAY
  const horizon = (days + 1) * MINUTES_OF_A_DAY
  const due =
    job.serves === null ? null : Math.max(0, Math.min(horizon, dayAt(job.serves) + settings.service - settings.buffer))
  // A delivery that is not there yet can be thawed no sooner than it comes.
  const arrives = Math.max(0, now, job.comes ?? 0)
  const parts: JobTask[] = []
  const add = (kind: WorkKind, at: string, { minutes, ...task }: Added, told: Told = {}): string => {
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
        ...told,
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
  const hasStove = settings.stoves > 0
  const set = passes('set', work.setHours, cuts)
  const cured = passes('cure', work.cureHours, set)
  const hot = passes('confit', work.confitHours, cured, { station: hasStove ? 'stove' : null })
  const cold = passes('chill', work.chillHours, hot)
  add('pack', '1', { minutes: settings.packMinutes, after: after(cold), due }, { units: job.portions })
  if (hasStove) passes('stock', work.stockHours, cuts, { station: 'stove' })
  return parts
}

const after = (ids: readonly string[], within: number | null = null) => ids.map((task) => ({ task, lag: 0, within }))

interface LoadOptions {
  add: (kind: WorkKind, at: string, task: Added, told?: Told) => string
  before: readonly string[]
  notBefore: number
}

/** The loads of a job, tempered where it is said, cut by one cook each or by a line; says what ends the last of each. */
function addLoads(job: PlannedJob, options: WorkOptions, { add, before, notBefore }: LoadOptions): string[] {
  const { settings } = options
  const { each, skill, isOwn } = handOf(job, options)
  const line = lineOf(job, options)
  const { perLoad, loads } = batchLoads({
    units: job.units,
    minutesPerUnit: each,
    // Where what waits between two parts is carried into the cold, a load is on the board as long as one part of it.
    cooks: job.work.carriers > 0 ? line.length : 1,
    boardMinutes: settings.boardMinutes,
  })
  const ends: string[] = []
  for (let load = 1; load <= loads; load++) {
    const units = Math.min(perLoad, job.units - (load - 1) * perLoad)
    if (units <= 0) break
    const upTo = Math.min(job.units, load * perLoad)
    const tempered =
      job.work.temperHours > 0
        ? [
            add(
              'temper',
              `${load}`,
              { minutes: job.work.temperHours * 60, after: after(before) },
              { units, load, loads },
            ),
          ]
        : null
    let last = tempered ? after(tempered, settings.boardMinutes) : after(before)
    const betweenParts = mayWait(units * each, line.length, {
      carriers: job.work.carriers,
      limit: settings.boardMinutes,
    })
    line.forEach((own, at) => {
      const part = line.length > 1 ? { number: at + 1, of: line.length } : null
      const id = add(
        'cut',
        part ? `${load} ${part.number}` : `${load}`,
        {
          minutes: (units * each) / line.length + (load === 1 && at === 0 ? job.setUp : 0),
          skill: own ?? skill,
          station: job.needsSaw && settings.saws > 0 ? 'saw' : 'board',
          species: job.species,
          notBefore,
          after: last,
        },
        // Parts of a line are taken as equally long: nobody has measured them apart.
        { units, load, loads, part, upTo, isAssumed: part !== null && !isOwn },
      )
      last = after([id], betweenParts)
      if (at === line.length - 1) ends.push(id)
    })
  }
  return ends
}

/** A minute to hand it on. */
const HANDED_ON = 1

/**
 * Minutes that a load may wait between two parts of a line: as long as the limit where carriers take it into the cold, else
 * what the limit leaves when the cutting of the whole load is taken off.
 */
function mayWait(cutting: number, parts: number, { carriers, limit }: { carriers: number; limit: number }): number {
  if (carriers > 0 || parts < 2) return limit
  return Math.max(HANDED_ON, (limit - cutting) / (parts - 1))
}

/** Minutes of a unit and who may cut it: the cook who is said to, by their own minutes, where they have the hours. */
function handOf(job: PlannedJob, options: WorkOptions) {
  const usual = job.units > 0 ? Math.max(0, job.minutes - job.setUp) / job.units : 0
  const own = job.cookId === null ? undefined : job.minutesBy[job.cookId]
  const each = own ?? usual
  const isTheirs = job.cookId !== null && canAlone(job, each, options)
  return {
    each: isTheirs ? each : usual,
    skill: isTheirs && job.cookId !== null ? ownSkill(job.cookId) : job.species,
    isOwn: isTheirs && own !== undefined,
  }
}

/** Minutes at the board on the day of a job. */
function minutesOn(cook: WorkCook, { day }: PlannedJob, options: WorkOptions): number {
  const shifts = shiftsOfDay(cook, daysBetween(options.from, day), options)
  return shifts.reduce((sum, [from, until]) => sum + until - from, 0)
}

/** Whether the cook who is said to cut it has the hours of its day for it. */
function canAlone(job: PlannedJob, each: number, options: WorkOptions): boolean {
  const cook = options.cooks.find(({ id }) => id === job.cookId)
  return cook !== undefined && minutesOn(cook, job, options) >= job.units * each + job.setUp
}

/** Who stands at each part of a line: those of its day with the most hours; `[null]` where there is no line. */
function lineOf(job: PlannedJob, options: WorkOptions): (string | null)[] {
  const { line } = job.work
  const able = options.cooks.filter(({ skills }) => skills === null || skills.includes(job.species))
  const there = able
    .map((cook) => ({ id: cook.id, minutes: minutesOn(cook, job, options) }))
    .filter(({ minutes }) => minutes > 0)
    .sort((a, b) => b.minutes - a.minutes)
    .slice(0, line)
  return there.length > 1 ? there.map(({ id }) => ownSkill(id)) : [null]
}
