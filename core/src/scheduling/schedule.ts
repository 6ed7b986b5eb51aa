import { z } from 'zod'
import { type FixedLists, name } from '../values/index.ts'

export const SCHEDULE_FORMAT = 'fleam/schedule'

const MAX_HORIZON = 60 * 24 * 31
const MAX_TASKS = 400
const MAX_COOKS = 60
const MAX_STATIONS = 40
const MAX_UNITS = 60
const MAX_LISTED = 100

/** From the plan's beginning. */
const minute = z.number().min(0).max(MAX_HORIZON)
const lasts = z.number().min(0).max(MAX_HORIZON)
const orNull = <T extends z.ZodType>(value: T) => value.nullable().default(null)

const cook = z.strictObject({
  name,
  skills: z.array(name).max(MAX_LISTED),
  /** From and until, in order, apart from each other. */
  shifts: z.array(z.tuple([minute, minute])).max(MAX_LISTED),
})
const task = z.strictObject({
  id: name,
  job: name,
  minutes: lasts,
  /** A cook stands at it, or it only passes: thawing, resting, a pot. */
  needs: z.enum(['cook', 'nobody']),
  skill: orNull(name),
  station: orNull(name),
  species: orNull(name),
  /** Starts at least `lag` after the end of another, and no more than `lag + within` where that is said. */
  after: z
    .array(z.strictObject({ task: name, lag: lasts.default(0), within: orNull(lasts) }))
    .max(MAX_LISTED)
    .default([]),
  notBefore: minute.default(0),
  due: orNull(minute),
})

const fields = z.strictObject({
  format: z.literal(SCHEDULE_FORMAT),
  version: z.literal(1),
  horizon: z.number().positive().max(MAX_HORIZON),
  cooks: z.array(cook).max(MAX_COOKS),
  /** Boards, saws, stoves: so many of them, each holds one task. */
  stations: z.array(z.strictObject({ name, count: z.number().int().min(1).max(MAX_UNITS) })).max(MAX_STATIONS),
  /** What a unit is cleaned down for between two tasks on it. */
  species: z
    .strictObject({
      /** In this order a clean-down is short; the other way it takes `against` minutes. */
      order: z.array(name).max(MAX_LISTED),
      cleanDown: lasts,
      against: lasts,
      /** Times at which every unit is clean anyway: the close of each day. */
      cleanAt: z.array(minute).max(MAX_LISTED).default([]),
    })
    .default({ order: [], cleanDown: 0, against: 0, cleanAt: [] }),
  tasks: z.array(task).max(MAX_TASKS),
})

type Fields = z.infer<typeof fields>
type Refuse = (path: (string | number)[], message: string) => void

function refuseTwice({ cooks, stations, species, tasks }: Fields, refuse: Refuse): void {
  const lists = {
    cooks: cooks.map((cook) => cook.name),
    stations: stations.map((station) => station.name),
    tasks: tasks.map((task) => task.id),
  }
  for (const [list, names] of Object.entries(lists)) {
    names.forEach((taken, index) => {
      if (names.indexOf(taken) < index) refuse([list, index, list === 'tasks' ? 'id' : 'name'], 'is there twice')
    })
  }
  species.order.forEach((kind, index) => {
    if (species.order.indexOf(kind) < index) refuse(['species', 'order', index], 'is there twice')
  })
}

function refuseShifts({ cooks, horizon }: Fields, refuse: Refuse): void {
  cooks.forEach(({ shifts }, index) => {
    shifts.forEach(([from, until], place) => {
      const path = ['cooks', index, 'shifts', place]
      if (until <= from) refuse(path, 'must end after it begins')
      if (from > horizon) refuse(path, 'begins after the horizon')
      const before = shifts[place - 1]
      if (before && from < before[1]) refuse(path, 'must begin after the one before has ended')
    })
  })
}

function refuseUnknown({ tasks, stations, species }: Fields, refuse: Refuse): void {
  const ids = new Set(tasks.map(({ id }) => id))
  tasks.forEach((task, index) => {
    if (task.station !== null && !stations.some(({ name: known }) => known === task.station)) {
      refuse(['tasks', index, 'station'], 'is no station here')
    }
    if (task.species !== null && !species.order.includes(task.species)) {
      refuse(['tasks', index, 'species'], 'is none of species.order')
    }
    if (task.needs === 'nobody' && task.skill !== null)
      refuse(['tasks', index, 'skill'], 'belongs to a task with a cook')
    task.after.forEach((before, place) => {
      if (!ids.has(before.task)) refuse(['tasks', index, 'after', place, 'task'], 'is no task here')
      if (before.task === task.id) refuse(['tasks', index, 'after', place, 'task'], 'is the task itself')
    })
  })
}

/** Refuses tasks that wait for each other in a circle. */
function refuseCircles({ tasks }: Fields, refuse: Refuse): void {
  const waits = new Map(tasks.map((task) => [task.id, new Set(task.after.map((before) => before.task))]))
  const followers = new Map<string, string[]>()
  for (const { id, after } of tasks) {
    for (const before of after) followers.set(before.task, [...(followers.get(before.task) ?? []), id])
  }
  const free = [...waits].flatMap(([id, before]) => (before.size === 0 ? [id] : []))
  for (let id = free.pop(); id !== undefined; id = free.pop()) {
    waits.delete(id)
    for (const follower of followers.get(id) ?? []) {
      const before = waits.get(follower)
      before?.delete(id)
      if (before?.size === 0) free.push(follower)
    }
  }
  tasks.forEach(({ id }, index) => {
    if (waits.has(id)) refuse(['tasks', index, 'after'], 'waits for itself in a circle')
  })
}

/** Work that has to be done by when, and who and what there is for it. */
export const scheduleRequest = fields
  .superRefine((given, context) => {
    const refuse: Refuse = (path, message) => context.addIssue({ code: 'custom', path, message })
    refuseTwice(given, refuse)
    refuseShifts(given, refuse)
    refuseUnknown(given, refuse)
    refuseCircles(given, refuse)
  })
  .meta({ id: 'ScheduleRequest' })
type Sent = FixedLists<Fields>
export type ScheduleTask = Sent['tasks'][number] & {
  /** It is best done so long before it is due: what goes wrong until then is not late. None where it is not said. */
  readonly slack?: number
}
/** The work and who and what there is for it; a file says besides in what format it is. */
export type ScheduleRequest = Omit<Sent, 'format' | 'version' | 'tasks'> & { readonly tasks: readonly ScheduleTask[] }

/** A task that has begun, or is held where it is: it keeps its place. */
export interface HeldTask {
  id: string
  start: number
  cook: string | null
  /** Which unit of its station, from 0. */
  unit: number | null
}

const figure = z.number()

/** Who does what, when and where, and how far that may be from the best. */
export const schedule = z
  .object({
    status: z.enum(['proven', 'best-found', 'impossible']),
    tasks: z.array(
      z.object({
        id: name,
        start: figure,
        end: figure,
        /** Null for what only passes. */
        cook: name.nullable(),
        /** `number` counts the units of a station from 1. */
        station: z.object({ name, number: z.number().int() }).nullable(),
      }),
    ),
    cleanDowns: z.array(z.object({ station: name, number: z.number().int(), start: figure, end: figure, cook: name })),
    lateMinutes: figure,
    cleanMinutes: figure,
    holdMinutes: figure,
    bound: z.object({ lateMinutes: figure }),
    /** Tasks that cannot be done, and why; empty where all can. */
    impossible: z.array(
      z.object({
        task: name,
        why: z.enum(['no-such-skill', 'longer-than-any-shift', 'beyond-the-horizon', 'too-late-after']),
      }),
    ),
  })
  .meta({ id: 'Schedule' })
export type Schedule = z.infer<typeof schedule>
export type PlacedTask = Schedule['tasks'][number]
export type CleanDown = Schedule['cleanDowns'][number]
/** Why a task cannot be done at all. */
export type Impossible = Schedule['impossible'][number]['why']
