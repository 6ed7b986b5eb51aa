import { addDays } from '@fleam/core/calendar'
import type { Plan } from '@fleam/core/plans'
import { setUpsOf } from '@fleam/core/plans'
import { isOnDuty, MINUTES_OF_A_DAY, ON_DUTY } from '@fleam/core/scheduling'
import { clockWords, type Format, formatFor, setUpLines } from '@fleam/core/wording'
import { cooks } from '../kitchen/index.ts'
import { type Paper, paperOf } from '../paper/index.ts'
import type { Scope } from '../scope/index.ts'
import { placedWork } from './placed-work.ts'

export interface ListRow {
  /** `8:00 to 8:30`; empty where it has no time of its own. */
  time: string
  words: string
  more: string
}

/** One list on paper: its rows each have a box to tick, under the day that they are for. */
export interface PaperList {
  title: string
  parts: { heading: string; rows: ListRow[] }[]
}

export interface PaperLists {
  paper: Paper
  title: string
  lists: PaperList[]
}

interface ListOptions {
  paper: Paper | null
  /** The list of one cook alone; null for all lists. */
  cookId: string | null
}

type Task = NonNullable<Plan['schedule']>['tasks'][number]

/** What is to be prepared, by whom and when, and what is laid out at each station, worded for paper. */
export async function paperLists(scope: Scope, plan: Plan, { paper, cookId }: ListOptions): Promise<PaperLists> {
  const { kitchen } = scope
  const who = await cooks(scope)
  const nameOf = (id: string | null) => who.find((cook) => cook.id === id)?.name ?? ''
  const tasks = [...(plan.schedule?.tasks ?? [])].sort((a, b) => a.start - b.start || a.id.localeCompare(b.id))
  const from = plan.accepted?.draft.from ?? ''
  const list = (title: string, listed: readonly Task[], isNamed: boolean): PaperList => ({
    title,
    parts: byDay(listed, from).map(({ heading, tasks: ofDay }) => ({
      heading,
      rows: ofDay.map((task) => rowOf(task, isNamed ? (isOnDuty(task.kind) ? ON_DUTY : nameOf(task.cookId)) : '')),
    })),
  })
  const busy = who.filter(({ id }) => (cookId === null || id === cookId) && tasks.some((task) => task.cookId === id))
  const ofCooks = busy.map(({ id, name }) =>
    list(
      name,
      tasks.filter((task) => task.cookId === id),
      false,
    ),
  )
  const onDuty = list(
    'Whoever is on duty',
    tasks.filter(({ kind }) => isOnDuty(kind)),
    false,
  )
  const format = formatFor(kitchen.currency, kitchen.units, kitchen.decimalMark)
  const lists =
    cookId === null
      ? [list('Prep list', tasks, true), ...ofCooks, onDuty, await setUpList(scope, { plan, format })]
      : ofCooks
  return {
    paper: paper ?? paperOf(kitchen.units),
    title: `${kitchen.name}: ${plan.name}`,
    lists: lists.filter(({ parts }) => parts.length > 0),
  }
}

/** What is laid out at each board and saw, for each day. */
async function setUpList(scope: Scope, { plan, format }: { plan: Plan; format: Format }): Promise<PaperList> {
  const placedPlan = await placedWork(scope, plan)
  if (!placedPlan) return { title: 'Set-up lists', parts: [] }
  const { work, jobs, placed, known, from } = placedPlan
  return {
    title: 'Set-up lists',
    parts: setUpsOf(placed, { work, jobs, items: known }).map((setUp) => ({
      heading: `${dayWords(addDays(from, setUp.day))}, ${setUp.station} ${setUp.number}`,
      rows: setUpLines(setUp, format).map((line) => ({ time: '', ...line })),
    })),
  }
}

function byDay(tasks: readonly Task[], from: string) {
  const dayOf = ({ start }: Task) => Math.floor(start / MINUTES_OF_A_DAY)
  return [...new Set(tasks.map(dayOf))].map((day) => ({
    heading: dayWords(addDays(from, day)),
    tasks: tasks.filter((task) => dayOf(task) === day),
  }))
}

const rowOf = ({ start, end, what, station }: Task, name: string): ListRow => ({
  time: `${clockWords(start)} to ${clockWords(end)}`,
  words: what,
  more: [name, station ? `${station.name} ${station.number}` : ''].filter((part) => part !== '').join(', '),
})

const dayWords = (day: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  )
