import type { Cook } from '@fleam/contract/kitchen/schemas'
import { minutesSince } from '@fleam/core/calendar'
import type { DayTask } from '@fleam/core/plans'
import { isOnDuty } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks, useFabrications } from '../../data/queries.ts'
import { useDaySchedule } from '../../data/schedule-queries.ts'
import { ColdOver } from '../../parts/cold-over.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useNow } from '../../parts/use-now.ts'
import css from './wall.module.css'

const HOUR = 60
/** Hours before and after now that a bar of the wall shows. */
const BEFORE = 1
const AFTER = 5
/** Open batches that may be out of the cold, and how often they are asked for. */
const OPEN_SHOWN = 40
const FOLLOW_MS = 10_000

/** Today's work on the screen of the wall: who does what now and next, readable across the kitchen; it follows by itself. */
export function Component() {
  const schedule = useDaySchedule()
  const cooks = useCooks()
  const fabrications = useFabrications(OPEN_SHOWN, { everyMs: FOLLOW_MS })
  const { timeZone } = useKitchen()
  const now = useNow()
  if (!schedule.data || !cooks.data) {
    const failed = [schedule, cooks].find((query) => query.isError)
    return failed ? (
      <Failed error={failed.error} retry={() => void failed.refetch()} />
    ) : (
      <Loading what="today’s work" />
    )
  }
  const { day, tasks } = schedule.data
  const minute = minutesSince(day, timeZone, now)
  const busy = cooks.data.filter(({ id }) => tasks.some(({ cookId }) => cookId === id))
  const soon = minute + AFTER * HOUR
  const onDuty = tasks.filter(({ kind, state, start }) => isOnDuty(kind) && state !== 'done' && start < soon)
  const alone = tasks.filter(({ cookId, kind, state }) => cookId === null && state === 'running' && !isOnDuty(kind))
  return (
    <div className={`room ${css.wall}`}>
      <h1 className={css.clock}>
        {dayWords(day)} <strong>{clockWords(minute)}</strong>
        {schedule.isError ? <span className={css.stale}> not connected: as it was last</span> : null}
        <Link to="/" className={css.leave}>
          Leave the wall
        </Link>
      </h1>
      <ColdOver rows={(fabrications.data ?? []).filter(({ status }) => status === 'open')} />
      {busy.length === 0 ? (
        <Empty title="Nothing is scheduled for today">
          <p>Accept a plan and make its schedule: here stands who does what.</p>
        </Empty>
      ) : (
        busy.map((cook) => <CookRow key={cook.id} {...{ cook, tasks, minute }} />)
      )}
      {onDuty.length > 0 ? (
        <p className={css.alone}>
          Whoever is on duty: {onDuty.map(({ what, start }) => `${clockWords(start)} ${what}`).join(' · ')}
        </p>
      ) : null}
      {alone.length > 0 ? (
        <p className={css.alone}>
          By itself: {alone.map(({ what, end }) => `${what} until ${clockWords(end)}`).join(' · ')}
        </p>
      ) : null}
    </div>
  )
}

function CookRow({ cook, tasks, minute }: { cook: Cook; tasks: readonly DayTask[]; minute: number }) {
  const cookTasks = tasks.filter(({ cookId }) => cookId === cook.id)
  const current = cookTasks.find(({ state }) => state === 'running')
  const next = cookTasks.filter(({ state }) => state === 'waiting')
  const [first] = next
  const isLate = first !== undefined && first.start < minute
  const [from, until] = [minute - BEFORE * HOUR, minute + AFTER * HOUR]
  const place = (at: number) => `${((Math.max(from, Math.min(until, at)) - from) / (until - from)) * 100}%`
  return (
    <section className={css.row} aria-label={cook.name}>
      <h2>{cook.name}</h2>
      <p className={css.current}>
        {current ? `until ${clockWords(current.end)}: ${current.what}` : next.length > 0 ? 'free' : 'done for today'}
      </p>
      <p className={isLate ? css.lateNext : ''}>
        {first ? `${isLate ? 'should have begun at' : 'next at'} ${clockWords(first.start)}: ${first.what}` : ''}
      </p>
      <div className={css.lane} aria-hidden>
        {cookTasks
          .filter((task) => task.end > from && task.start < until)
          .map((task) => (
            <span
              key={task.id}
              className={`${css.bar} ${css[task.state]}`}
              style={{ left: place(task.start), width: `calc(${place(task.end)} - ${place(task.start)})` }}
            >
              {task.what}
            </span>
          ))}
        <span className={css.now} style={{ left: place(minute) }} />
      </div>
    </section>
  )
}
