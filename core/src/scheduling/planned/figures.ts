import { type Explanation, plus, value } from '../../explanation/index.ts'
import { heldUntilDue } from '../cost.ts'
import type { PlacedTask, ScheduleRequest } from '../schedule.ts'
import type { WorkKind } from './kinds.ts'

export const SCHEDULE_FIGURES = ['late', 'clean', 'hold'] as const
export type ScheduleFigure = (typeof SCHEDULE_FIGURES)[number]

/** Minutes that one task adds to a figure. */
interface Part {
  id: string
  minutes: number
}

const TITLES: Readonly<Record<ScheduleFigure, string>> = {
  late: 'Late',
  clean: 'Cleaning down',
  hold: 'Waiting',
}

const NOTES: Readonly<Record<ScheduleFigure, string>> = {
  late: 'Minutes from when something had to be done until it is.',
  clean: 'Minutes before a task whose species is another one than that before it on the same board.',
  hold: 'Minutes from the end of what a task follows until it begins, and between its end and when it is best done.',
}

/** What one figure of placed tasks is made of, in minutes; tasks that add nothing are left out. */
export function scheduleParts(request: ScheduleRequest, placed: readonly PlacedTask[], figure: ScheduleFigure): Part[] {
  const parts = figure === 'clean' ? cleaning(request, placed) : waiting(request, placed, figure)
  return parts.filter(({ minutes }) => minutes > 0)
}

/** Minutes of a figure: Σ max(0, end − due), Σ of cleaning between species, or Σ of what food waits. */
export const scheduleMinutes = (
  request: ScheduleRequest,
  placed: readonly PlacedTask[],
  figure: ScheduleFigure,
): number => scheduleParts(request, placed, figure).reduce((sum, { minutes }) => sum + minutes, 0)

/** The formula of a figure with its numbers; null where nothing adds to it. */
export function explainSchedule(
  request: ScheduleRequest,
  placed: readonly PlacedTask[],
  { figure, nameOf }: { figure: ScheduleFigure; nameOf: (id: string) => string },
): Explanation | null {
  const parts = scheduleParts(request, placed, figure)
  if (parts.length === 0) return null
  return {
    title: TITLES[figure],
    quantity: 'minutes',
    expression: plus(...parts.map(({ id, minutes }) => value(nameOf(id), minutes, 'minutes'))),
    note: NOTES[figure],
  }
}

/** A task of a schedule as far as its minutes at the board go. */
type CuttingTask = Pick<PlacedTask, 'id' | 'start' | 'end'> & { kind: WorkKind }

const isCutting = ({ kind }: CuttingTask): boolean => kind === 'cut'

/** Minutes that cooks cut in some tasks, together. */
export const cuttingMinutes = (tasks: readonly CuttingTask[]): number =>
  tasks.filter(isCutting).reduce((sum, { start, end }) => sum + end - start, 0)

/** The formula of it, task by task; null where nothing is cut. */
export function explainCutting(tasks: readonly CuttingTask[], nameOf: (id: string) => string): Explanation | null {
  const terms = tasks.filter(isCutting).map(({ id, start, end }) => value(nameOf(id), end - start, 'minutes'))
  return terms.length === 0 ? null : { title: 'Cutting', quantity: 'minutes', expression: plus(...terms) }
}

function waiting({ tasks }: ScheduleRequest, placed: readonly PlacedTask[], figure: 'late' | 'hold'): Part[] {
  const placeOf = new Map(placed.map((task) => [task.id, task]))
  return tasks.flatMap(({ id, due, slack = 0, after }): Part[] => {
    const placedTask = placeOf.get(id)
    if (!placedTask) return []
    if (figure === 'late') return due === null ? [] : [{ id, minutes: Math.max(0, placedTask.end - due) }]
    const waits = after.reduce((sum, { task, lag }) => {
      const before = placeOf.get(task)
      return sum + (before ? Math.max(0, placedTask.start - before.end - lag) : 0)
    }, 0)
    return [{ id, minutes: waits + (due === null ? 0 : heldUntilDue(placedTask.end, { due, slack })) }]
  })
}

function cleaning({ tasks, species }: ScheduleRequest, placed: readonly PlacedTask[]): Part[] {
  const speciesOf = new Map(tasks.map((task) => [task.id, task.needs === 'nobody' ? null : task.species]))
  const last = new Map<string, PlacedTask>()
  return [...placed]
    .sort((a, b) => a.start - b.start)
    .flatMap((task): Part[] => {
      const is = speciesOf.get(task.id)
      if (!task.station || !is) return []
      const unit = `${task.station.name} ${task.station.number}`
      const before = last.get(unit)
      last.set(unit, task)
      const was = before && speciesOf.get(before.id)
      if (!before || !was || was === is) return []
      if (species.cleanAt.some((time) => time >= before.end && time <= task.start)) return []
      const isInOrder = species.order.indexOf(was) < species.order.indexOf(is)
      return [{ id: task.id, minutes: isInOrder ? species.cleanDown : species.against }]
    })
}
