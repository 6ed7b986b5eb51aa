import { type Day, daysBetween, weekdayOf } from '../../calendar/index.ts'
import type { GoodsCook } from '../../planning/index.ts'
import { batchLoads } from '../../weighing/index.ts'
import type { HeldTask, ScheduleRequest, ScheduleTask } from '../schedule.ts'

export const MINUTES_OF_A_DAY = 1440

/** A planned fabrication, or one that is on the board, as far as its minutes go. */
export interface PlannedJob {
  id: string
  itemId: string
  styleId: string
  /** What it is called: `Duck: breasts and confit legs`. */
  name: string
  species: 'fish' | 'red-meat' | 'poultry'
  unitName: { one: string; many: string }
  units: number
  day: Day
  /** Minutes in all, laying out and cleaning with them. */
  minutes: number
  /** Laid out and cleaned once. */
  setUp: number
  /** Who cuts it; null where nobody said. It is a wish where that cook has not the hours of the day for it. */
  cookId: string | null
  /** The first day that it serves; null where none of it is planned to. */
  serves: Day | null
  portions: number
  /** A step binds pieces: it has to set. */
  isBonded: boolean
  /** It gives bones that go into a pot. */
  hasBones: boolean
  /** A step takes a saw. */
  needsSaw: boolean
  /** When it began and who cuts it, where it is on the board. */
  running: { start: number; cookId: string | null } | null
}

export interface WorkCook extends GoodsCook {
  id: string
}

/** What the kitchen has for it, and what nobody told and is assumed. Minutes of the day, counted from midnight. */
export interface WorkSettings {
  boards: number
  saws: number
  stoves: number
  /** The cooks' hours begin. */
  begins: number
  service: number
  /** So long before service everything is done. */
  buffer: number
  /** A load is back in the cold within so many minutes. */
  boardMinutes: number
  packMinutes: number
  setHours: number
  stockHours: number
  /** The board is cleaned for so long where species follow in the order fish, red meat, poultry, and the other way. */
  cleanDown: number
  against: number
}

export const USUAL_WORK: WorkSettings = {
  boards: 2,
  saws: 1,
  stoves: 2,
  begins: 8 * 60,
  service: 18 * 60,
  buffer: 30,
  boardMinutes: 30,
  packMinutes: 10,
  setHours: 8,
  stockHours: 6,
  cleanDown: 10,
  against: 20,
}

export type WorkKind = 'cut' | 'set' | 'pack' | 'stock'

/** What a task is of the work: to be named on a screen. */
export interface WorkTask {
  id: string
  jobId: string
  kind: WorkKind
  /** Units of a load, and which load of how many. */
  units: number
  load: number
  loads: number
  /** Nobody measured how long it takes. */
  isAssumed: boolean
}

export interface WorkPlan {
  request: ScheduleRequest
  tasks: WorkTask[]
  held: HeldTask[]
}

interface WorkOptions {
  from: Day
  days: number
  cooks: readonly WorkCook[]
  settings: WorkSettings
  /** Minutes since the beginning of the first day: what has not begun begins no earlier. */
  now: number
}

/** A cook alone can do what is said to be theirs. */
const own = (cookId: string) => `cook ${cookId}`

/**
 * The tasks of planned work: each job in loads that are back in the cold in time, in any order; then it sets where
 * it was bonded, is packed and labelled, and its bones go into a pot. Cooks stand at the board in the hours of their week
 * from the beginning of the day on; where no cook says any, all day. What is on the board keeps its place.
 */
export function workPlan(jobs: readonly PlannedJob[], { from, days, cooks, settings, now }: WorkOptions): WorkPlan {
  const horizon = (days + 1) * MINUTES_OF_A_DAY
  const tasks: WorkTask[] = []
  const scheduled: ScheduleTask[] = []
  const held: HeldTask[] = []
  for (const job of jobs) {
    const parts = partsOf(job, { from, cooks, settings, now, horizon })
    scheduled.push(...parts.map(({ task }) => task))
    tasks.push(...parts.map(({ work }) => work))
    const [first] = parts
    if (job.running && first) {
      held.push({ id: first.task.id, start: job.running.start, cook: nameOf(cooks, job.running.cookId), unit: 0 })
    }
  }
  const isTold = cooks.some(({ hours }) => hours !== null)
  return {
    tasks,
    held: onDifferentUnits(held),
    request: {
      horizon,
      cooks: cooks.map(({ id, name, hours }) => ({
        name,
        skills: [own(id)],
        shifts: Array.from({ length: days }, (_, at) => at).flatMap((at): [number, number][] => {
          const day = (weekdayOf(from) - 1 + at) % 7
          const minutes = (hours?.[day] ?? (isTold ? 0 : ASSUMED_HOURS)) * 60
          const begins = at * MINUTES_OF_A_DAY + settings.begins
          return minutes > 0 ? [[begins, Math.min(begins + minutes, (at + 1) * MINUTES_OF_A_DAY)]] : []
        }),
      })),
      stations: [
        { name: 'board', count: settings.boards },
        ...(settings.saws > 0 ? [{ name: 'saw', count: settings.saws }] : []),
        ...(settings.stoves > 0 ? [{ name: 'stove', count: settings.stoves }] : []),
      ],
      species: {
        order: ['fish', 'red-meat', 'poultry'],
        cleanDown: settings.cleanDown,
        against: settings.against,
        cleanAt: Array.from({ length: days }, (_, at) => (at + 1) * MINUTES_OF_A_DAY),
      },
      tasks: scheduled,
    },
  }
}

const ASSUMED_HOURS = 8
const nameOf = (cooks: readonly WorkCook[], id: string | null) => cooks.find((cook) => cook.id === id)?.name ?? null

/** Whether the cook who is said to cut it has the hours of its day for it; what runs is theirs in any case. */
function canAlone(job: PlannedJob, cooks: readonly WorkCook[]): boolean {
  if (job.running) return true
  const hours = cooks.find(({ id }) => id === job.cookId)?.hours?.[weekdayOf(job.day) - 1] ?? 0
  return hours * 60 >= job.minutes
}

/** What runs at once stands on boards of its own. */
const onDifferentUnits = (held: readonly HeldTask[]): HeldTask[] => held.map((each, unit) => ({ ...each, unit }))

interface PartOptions {
  from: Day
  cooks: readonly WorkCook[]
  settings: WorkSettings
  now: number
  horizon: number
}

function partsOf(
  job: PlannedJob,
  { from, cooks, settings, now, horizon }: PartOptions,
): { task: ScheduleTask; work: WorkTask }[] {
  const dayAt = (day: Day) => daysBetween(from, day) * MINUTES_OF_A_DAY
  const due =
    job.serves === null ? null : Math.max(0, Math.min(horizon, dayAt(job.serves) + settings.service - settings.buffer))
  const each = job.units > 0 ? Math.max(0, job.minutes - job.setUp) / job.units : 0
  const { perLoad, loads } = batchLoads({
    units: job.units,
    minutesPerUnit: each,
    cooks: 1,
    boardMinutes: settings.boardMinutes,
  })
  const notBefore = job.running ? 0 : Math.max(0, dayAt(job.day), now)
  const skill = job.cookId !== null && canAlone(job, cooks) ? own(job.cookId) : null
  const bare = { job: job.id, species: null, skill: null, notBefore, due: null }
  const parts: { task: ScheduleTask; work: WorkTask }[] = []
  const add = (kind: WorkKind, at: number, units: number, isAssumed: boolean, task: Omit<ScheduleTask, 'id'>) => {
    const id = `${job.id} ${kind} ${at}`
    parts.push({ task: { id, ...task }, work: { id, jobId: job.id, kind, units, load: at, loads, isAssumed } })
    return id
  }
  const after = (ids: readonly string[]) => ids.map((task) => ({ task, lag: 0, within: null }))
  const cuts: string[] = []
  for (let load = 1; load <= loads; load++) {
    const units = Math.min(perLoad, job.units - (load - 1) * perLoad)
    if (units <= 0) break
    const id = add('cut', load, units, false, {
      ...bare,
      minutes: units * each + (load === 1 ? job.setUp : 0),
      needs: 'cook',
      skill,
      station: job.needsSaw && settings.saws > 0 ? 'saw' : 'board',
      species: job.species,
      after: [],
    })
    cuts.push(id)
  }
  const set = job.isBonded
    ? [
        add('set', 1, job.units, true, {
          ...bare,
          minutes: settings.setHours * 60,
          needs: 'nobody',
          station: null,
          after: after(cuts),
        }),
      ]
    : cuts
  add('pack', 1, job.portions, true, {
    ...bare,
    minutes: settings.packMinutes,
    needs: 'cook',
    station: null,
    after: after(set),
    due,
  })
  if (job.hasBones && settings.stoves > 0) {
    const minutes = settings.stockHours * 60
    add('stock', 1, job.units, true, { ...bare, minutes, needs: 'nobody', station: 'stove', after: after(cuts) })
  }
  return parts
}
