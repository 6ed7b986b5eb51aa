import { type Day, weekdayOf } from '../../calendar/index.ts'
import type { Species } from '../../style/index.ts'
import type { HeldTask, ScheduleRequest } from '../schedule.ts'
import type { JobStep } from './board-way.ts'
import type { JobProgress } from './follow.ts'
import type { WorkTask } from './task.ts'
import { shiftsOn, usualWeek } from './week.ts'
import type { CookShift, StyleWork, WorkSettings } from './work-shapes.ts'

/** A planned fabrication, or one that is on the board, as far as its minutes go. */
export interface PlannedJob {
  id: string
  itemId: string
  styleId: string
  /** What it is called: `Duck: breasts and confit legs`. */
  name: string
  species: Species
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
  /** Grams of one unit. */
  unitGrams: number
  /** What it takes before and after the board. */
  work: StyleWork
  /** A step takes a saw. */
  needsSaw: boolean
  /** What is done to one unit at the board, in its order. */
  steps: readonly JobStep[]
  /** Minutes of a unit by cooks who have cut it often enough to say so, by their ids. */
  minutesBy: Readonly<Record<string, number>>
  /** It waits for a delivery, which comes at this minute; null where it is in the cold. */
  comes: number | null
  /** How far it is, once it has begun. */
  progress: JobProgress | null
}

export interface WorkCook {
  id: string
  /** What they may cut; null where nobody said, which is everything. */
  skills: readonly Species[] | null
  /** A usual week at the board; null where nobody said. */
  week: readonly CookShift[] | null
  /** Days of the plan, from 0, on which it is otherwise than in the week, and what they are there. */
  days: Readonly<Record<number, readonly (readonly [from: number, until: number])[]>>
}

export interface WorkPlan {
  request: ScheduleRequest
  tasks: WorkTask[]
  held: HeldTask[]
  /** Ids of jobs of which one unit alone is out of the cold for longer than it may be: they have no tasks. */
  tooWarm: string[]
  /** Ids of tasks on a stove that end when nobody is on duty, whenever they are begun. */
  unwatched: string[]
}

export interface WorkOptions {
  from: Day
  days: number
  cooks: readonly WorkCook[]
  settings: WorkSettings
  /** Minutes since the beginning of the first day: what has not begun begins no earlier. */
  now: number
}

/** A cook alone can do what is said to be theirs. */
export const ownSkill = (cookId: string) => `cook ${cookId}`

/**
 * When a cook is at the board on a day of a plan, from 0: as said for that day, else as in the week; all day where no cook
 * says any.
 */
export function shiftsOfDay(
  cook: Pick<WorkCook, 'week' | 'days'>,
  at: number,
  { from, cooks, settings }: Pick<WorkOptions, 'from' | 'cooks' | 'settings'>,
): readonly (readonly [from: number, until: number])[] {
  const ofDay = cook.days[at]
  if (ofDay) return ofDay
  const isTold = cooks.some(({ week }) => week !== null)
  const week = cook.week ?? (isTold ? [] : usualWeek(settings.begins))
  return shiftsOn(((weekdayOf(from) - 1 + at) % 7) + 1, week)
}
