import { addressOf } from '@fleam/contract/client'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import { addDays, type Day } from '@fleam/core/calendar'
import { MINUTES_OF_A_DAY, ON_DUTY, type PlacedTask, type PlannedJob, type WorkPlan } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { dayWords } from '../../../parts/dates.ts'

import css from './schedule.module.css'

const { subscribeSchedule, printSchedule } = kitchenScheduleOperations

interface ListsProps {
  planId: string
  from: Day
  work: WorkPlan
  jobs: readonly PlannedJob[]
  placed: readonly PlacedTask[]
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
}

/** A list for each cook, with boxes to tick on paper; and what passes by itself. */
export function Lists({ planId, from, work, jobs, placed, nameOf, cookName }: ListsProps) {
  const { id: kitchenId } = useKitchen()
  const inOrder = [...placed].sort((a, b) => a.start - b.start)
  const busy = work.request.cooks.filter(({ name }) => placed.some(({ cook }) => cook === name))
  const alone = inOrder.filter(({ cook }) => cook === null)
  const jobOf = (id: string) => {
    const task = work.tasks.find((workTask) => workTask.id === id)
    return jobs.find((job) => job.id === task?.jobId)
  }
  /** Where a calendar finds it, again and again: one cook's, or that of all. */
  const calendarOf = (cookId: string | null) =>
    addressOf(subscribeSchedule, { kitchenId, planId, query: { cook: cookId ?? undefined } })
  /** Prep list, lists by cook and set-up lists as PDF; or the list of one cook. */
  const paperOf = (paper: 'A4' | 'LETTER', cookId: string | null = null) =>
    addressOf(printSchedule, { kitchenId, planId, query: { paper, cook: cookId ?? undefined } })
  return (
    <section aria-labelledby="lists">
      <h2 id="lists">Lists</h2>
      <p className="no-print">
        <a href={calendarOf(null)}>Calendar of all cooks</a>
        <span className="form-text"> open it once, or give a calendar its address to follow</span>
      </p>
      <p className="no-print">
        On paper, with boxes and set-up lists: <a href={paperOf('A4')}>A4</a> · <a href={paperOf('LETTER')}>Letter</a>
      </p>
      <div className={css.lists}>
        {busy.map(({ name }) => (
          <CookList
            key={name}
            title={cookName(name)}
            {...{ from, nameOf, jobOf }}
            tasks={inOrder.filter(({ cook }) => cook === name)}
            action={
              name === ON_DUTY ? null : (
                <span className={`no-print ${css.links}`}>
                  <a href={calendarOf(name)}>Calendar</a> · <a href={paperOf('A4', name)}>A4</a> ·{' '}
                  <a href={paperOf('LETTER', name)}>Letter</a>
                </span>
              )
            }
          />
        ))}
        {alone.length > 0 ? <CookList title="By itself" {...{ from, nameOf, jobOf }} tasks={alone} /> : null}
      </div>
    </section>
  )
}

interface CookListProps extends Pick<ListsProps, 'from' | 'nameOf'> {
  title: string
  tasks: readonly PlacedTask[]
  jobOf: (id: string) => PlannedJob | undefined
  action?: React.ReactNode
}

function CookList({ title, tasks, from, nameOf, jobOf, action }: CookListProps) {
  const days = [...new Set(tasks.map(({ start }) => Math.floor(start / MINUTES_OF_A_DAY)))]
  return (
    <article className={css.list}>
      <h3>
        {title} {action}
      </h3>
      {days.map((day) => (
        <div key={day}>
          <p className={css.day}>{dayWords(addDays(from, day))}</p>
          <ul>
            {tasks
              .filter(({ start }) => Math.floor(start / MINUTES_OF_A_DAY) === day)
              .map((task) => {
                const job = jobOf(task.id)
                return (
                  <li key={task.id}>
                    <span className={css.box} aria-hidden /> {clockWords(task.start)} to {clockWords(task.end)}{' '}
                    {job ? (
                      <Link to={`/bench?planned=${job.id}`} className={css.plain}>
                        {nameOf(task.id)}
                      </Link>
                    ) : (
                      nameOf(task.id)
                    )}
                    {task.station ? `, ${task.station.name} ${task.station.number}` : ''}
                  </li>
                )
              })}
          </ul>
        </div>
      ))}
    </article>
  )
}
