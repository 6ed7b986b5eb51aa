/** Minutes from the plan's beginning. */
type Minute = number

export interface ScheduleCook {
  name: string
  skills: readonly string[]
  /** From and until, in order, apart from each other. */
  shifts: readonly (readonly [from: Minute, until: Minute])[]
}

/** Boards, saws, stoves: so many of them, each holds one task. */
export interface ScheduleStation {
  name: string
  count: number
}

/** What a unit is cleaned down for between two tasks on it. */
export interface ScheduleSpecies {
  /** In this order a clean-down is short; the other way it takes `against` minutes. */
  order: readonly string[]
  cleanDown: number
  against: number
  /** Times at which every unit is clean anyway: the close of each day. */
  cleanAt: readonly Minute[]
}

/** Starts at least `lag` after the end of another, and no more than `lag + within` where that is said. */
export interface ScheduleAfter {
  task: string
  lag: number
  within: number | null
}

export interface ScheduleTask {
  id: string
  job: string
  minutes: number
  /** A cook stands at it, or it only passes: thawing, resting, a pot. */
  needs: 'cook' | 'nobody'
  skill: string | null
  station: string | null
  species: string | null
  after: readonly ScheduleAfter[]
  notBefore: Minute
  due: Minute | null
  /** It is best done so long before it is due: what goes wrong until then is not late. None where it is not said. */
  slack?: number
}

/** A task that has begun, or is held where it is: it keeps its place. */
export interface HeldTask {
  id: string
  start: Minute
  cook: string | null
  /** Which unit of its station, from 0. */
  unit: number | null
}

export interface ScheduleRequest {
  horizon: number
  cooks: readonly ScheduleCook[]
  stations: readonly ScheduleStation[]
  species: ScheduleSpecies
  tasks: readonly ScheduleTask[]
}

export interface PlacedTask {
  id: string
  start: Minute
  end: Minute
  /** Null for what only passes. */
  cook: string | null
  /** `number` counts the units of a station from 1. */
  station: { name: string; number: number } | null
}

export interface CleanDown {
  station: string
  number: number
  start: Minute
  end: Minute
  cook: string
}

/** Why a task cannot be done at all. */
export type Impossible = 'no-such-skill' | 'longer-than-any-shift' | 'beyond-the-horizon' | 'too-late-after'

export interface Schedule {
  status: 'proven' | 'best-found' | 'impossible'
  tasks: PlacedTask[]
  cleanDowns: CleanDown[]
  lateMinutes: number
  cleanMinutes: number
  holdMinutes: number
  bound: { lateMinutes: number }
  /** Tasks that cannot be done, and why; empty where all can. */
  impossible: { task: string; why: Impossible }[]
}
