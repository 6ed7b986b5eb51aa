import type { Cook, Item, Plan } from '@fleam/contract'
import { addDays, type PlacedTask, type Schedule, scheduleFaults, workPlan } from '@fleam/core'
import { useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { dayWords } from '../../../parts/dates.ts'
import { Failed } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { BeforeAndAfter } from './before-and-after.tsx'
import { cooksOf, jobsOf, minutesSince } from './jobs.ts'
import { Lists } from './lists.tsx'
import { type Lane, moved } from './moved.ts'
import css from './schedule.module.css'
import { SettingsFields } from './settings-fields.tsx'
import { faultWords, taskWords } from './task-words.ts'
import { Timeline } from './timeline.tsx'
import { useKeptSchedule } from './use-kept-schedule.ts'
import { useScheduleRun } from './use-schedule-run.ts'

interface ScheduleRoomProps {
  plan: Plan
  accepted: NonNullable<Plan['accepted']>
  items: readonly Item[]
  cooks: readonly Cook[]
}

/** The schedule of a plan: made, moved by hand, and made again for what is left. */
export function ScheduleRoom({ plan, accepted, items, cooks }: ScheduleRoomProps) {
  const { timeZone } = useKitchen()
  const format = useFormat()
  const { from, days } = accepted.draft
  const kept = useKeptSchedule(plan)
  const { settings, tasks: placed } = kept.schedule
  const [away, setAway] = useState<readonly string[]>([])
  const [offered, setOffered] = useState<Schedule | null>(null)
  const [impossible, setImpossible] = useState<Schedule['impossible']>([])
  const run = useScheduleRun()
  const jobs = useMemo(() => jobsOf(accepted, items, timeZone), [accepted, items, timeZone])
  const now = minutesSince(from, timeZone, new Date())
  const work = useMemo(
    () => workPlan(jobs, { from, days, cooks: cooksOf(cooks, away), settings, now: 0 }),
    [jobs, from, days, cooks, away, settings],
  )
  const taskOf = new Map(work.tasks.map((task) => [task.id, task]))
  const jobOf = new Map(jobs.map((job) => [job.id, job]))
  const nameOf = (id: string) => {
    const task = taskOf.get(id)
    const job = task && jobOf.get(task.jobId)
    return task && job ? `${job.name}, ${taskWords(task, job)}` : id
  }
  const shown = placed.filter(({ id }) => taskOf.has(id))
  const faults = scheduleFaults(work.request, shown, work.held)
  const isMissing = shown.length < work.tasks.length
  const withJob = ({ id, start, end, cook, station }: PlacedTask) => ({
    ...{ id, start, end, cook, station },
    jobId: taskOf.get(id)?.jobId ?? plan.id,
  })
  const keep = (tasks: readonly PlacedTask[]) => kept.change({ tasks: tasks.map(withJob) })
  /** Makes it: all of it, or what has not begun from now on. */
  const make = (isRest: boolean) => {
    const asked = isRest
      ? workPlan(jobs, { from, days, cooks: cooksOf(cooks, away), settings, now: Math.max(0, now) })
      : work
    setImpossible([])
    run.make(asked, (schedule) => {
      if (schedule.status === 'impossible') setImpossible(schedule.impossible)
      else if (isRest && shown.length > 0) setOffered(schedule)
      else keep(schedule.tasks)
    })
  }
  const isFirst = useRef(true)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a plan that nobody scheduled is, once, when it is looked at.
  useEffect(() => {
    if (isFirst.current && plan.schedule === null && work.tasks.length > 0) make(false)
    isFirst.current = false
  }, [])
  const move = (id: string, by: { minutes: number; lane?: Lane | undefined }) => keep(moved(placed, id, by))
  return (
    <div className="room">
      <p className="no-print">
        <Link to="/plan">All plans</Link> · <Link to={`/plan/${plan.id}`}>{plan.name}</Link>
      </p>
      <div className="room-heading">
        <h1>When</h1>
        <Button className="no-print" disabled={run.state === 'running'} onClick={() => make(false)}>
          {placed.length > 0 ? 'Make it anew' : 'Make the schedule'}
        </Button>
        <Button
          className="no-print"
          variant="outline-dark"
          disabled={run.state === 'running' || shown.length === 0}
          onClick={() => make(true)}
        >
          Replan the rest
        </Button>
        <Button className="no-print" variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p role="status" className={css.status}>
        {run.state === 'running'
          ? run.best
            ? `Looking: ${format.quantity(run.best.late, 'minutes')} late, ${format.quantity(run.best.clean, 'minutes')} of cleaning so far.`
            : 'Looking …'
          : ''}
        {run.state === 'running' ? (
          <Button size="sm" variant="outline-dark" onClick={run.stop}>
            Stop
          </Button>
        ) : null}
      </p>
      {run.state === 'failed' ? <p className="refusal">It could not be made: {run.failure}</p> : null}
      {impossible.length > 0 ? (
        <div className="refusal" role="alert">
          <p>It cannot be done as it is:</p>
          <ul>
            {impossible.map(({ task, why }) => (
              <li key={task}>
                {nameOf(task)}: {WHY_WORDS[why]}.
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {kept.error ? <Failed error={kept.error} retry={kept.retry} /> : null}
      {jobs.length === 0 ? <p>Everything of this plan is cut.</p> : null}
      {isMissing && shown.length > 0 && run.state !== 'running' ? (
        <p>Something was planned or changed since: make it anew, or replan the rest.</p>
      ) : null}
      {offered ? (
        <BeforeAndAfter
          request={work.request}
          before={shown}
          after={offered}
          onTake={() => {
            keep(offered.tasks)
            setOffered(null)
          }}
          onLeave={() => setOffered(null)}
          nameOf={nameOf}
        />
      ) : null}
      {shown.length > 0 ? (
        <>
          <Timeline {...{ from, days, work, jobs, placed: shown, faults, nameOf, now }} onMove={move} />
          {faults.length > 0 ? (
            <section aria-labelledby="faults" className="no-print">
              <h2 id="faults">What does not fit</h2>
              <ul>
                {faults.map((fault) => (
                  <li key={`${fault.task} ${fault.rule} ${fault.with}`}>{faultWords(fault, nameOf)}</li>
                ))}
              </ul>
            </section>
          ) : null}
          <Lists {...{ from, work, jobs, placed: shown, nameOf, timeZone }} />
        </>
      ) : null}
      <section aria-labelledby="away" className="no-print">
        <h2 id="away">Who is away</h2>
        <div className={css.away}>
          {cooks.map(({ id, name }) => (
            <Form.Check
              key={id}
              id={`away-${id}`}
              label={name}
              checked={away.includes(id)}
              onChange={(event) => setAway(event.target.checked ? [...away, id] : away.filter((each) => each !== id))}
            />
          ))}
        </div>
      </section>
      <SettingsFields settings={settings} onChange={(next) => kept.change({ settings: next })} />
      <p className="quiet">
        {dayWords(from)} to {dayWords(addDays(from, days - 1))}. What is marked with ≈ nobody has measured.
      </p>
    </div>
  )
}

const WHY_WORDS = {
  'no-such-skill': 'nobody who is there can do it',
  'longer-than-any-shift': 'it takes longer than anybody’s hours',
  'beyond-the-horizon': 'there is no time for it in the days of this plan',
} as const
