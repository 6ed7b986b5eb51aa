import type { Cook } from '@fleam/contract/kitchen/schemas'
import { addDays } from '@fleam/core/calendar'
import { DEFAULT_COLD_LIMITS } from '@fleam/core/fabrication'
import { setUpsOf } from '@fleam/core/plans'
import { clockWords, faultWords } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { dayWords } from '../../../parts/dates.ts'
import { Failed } from '../../../parts/states.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { BeforeAndAfter } from './before-and-after.tsx'
import { ScheduleFigures } from './figures.tsx'
import { LateDeliveries } from './late-deliveries.tsx'
import { Lists } from './lists.tsx'
import css from './schedule.module.css'
import { SetUpLists } from './set-up-lists.tsx'
import { SettingsFields } from './settings-fields.tsx'
import { StyleWorks } from './style-works.tsx'
import { Timeline } from './timeline.tsx'
import { type ScheduleRoomProps, type ScheduleRoomState, useScheduleRoom } from './use-schedule-room.ts'
import { WhoIsOn } from './who-is-on.tsx'

/** The schedule of a plan: made, moved by hand, and made again for what is left. */
export function ScheduleRoom(props: ScheduleRoomProps) {
  const state = useScheduleRoom(props)
  const { from, days, work, jobs, shown, nameOf, offered, leftOut } = state
  return (
    <div className="room">
      <Heading state={state} {...props} />
      {state.error ? <Failed error={state.error} retry={state.retry} /> : null}
      {state.isOvertaken ? (
        <p className="refusal" role="alert">
          Somebody else has changed this schedule meanwhile. What was changed here since is not kept.{' '}
          <Button size="sm" variant="outline-dark" onClick={() => void state.showTheirs()}>
            Show theirs
          </Button>
        </p>
      ) : null}
      <CannotBeDone state={state} />
      <TooWarm state={state} />
      <Unwatched state={state} />
      {leftOut.length > 0 ? (
        <p>
          Left out: {leftOut.map(({ name }) => name).join('; ')}{' '}
          <Button size="sm" variant="outline-dark" onClick={state.takeIn}>
            Allow again
          </Button>
        </p>
      ) : null}
      {jobs.length === 0 && leftOut.length === 0 ? <p>Everything of this plan is cut.</p> : null}
      {state.isMissing && shown.length > 0 && state.run.state !== 'running' ? (
        <p>Something was planned or changed since: start over, or reschedule what is left.</p>
      ) : null}
      {offered ? (
        <BeforeAndAfter
          request={work.request}
          held={work.held}
          before={shown}
          after={offered}
          onTake={() => state.take(offered)}
          onLeave={state.leave}
          nameOf={nameOf}
          cookName={state.cookName}
        />
      ) : null}
      {shown.length > 0 ? (
        <>
          <Timeline
            plan={props.plan}
            {...{
              from,
              days,
              work,
              jobs,
              placed: shown,
              faults: state.faults,
              nameOf,
              cookName: state.cookName,
              now: state.now,
            }}
            onMove={state.move}
          />
          <ScheduleFigures request={work.request} placed={shown} soonest={state.soonest} nameOf={nameOf} />
          <Faults state={state} />
        </>
      ) : null}
      <Away state={state} cooks={props.cooks} />
      <WhoIsOn
        {...{ cooks: props.cooks, from, days, settings: state.schedule.settings, exceptions: state.schedule.days }}
        onChange={(exceptions) => state.change({ days: exceptions })}
      />
      <LateDeliveries
        {...{ accepted: props.accepted, from, days, late: state.schedule.late }}
        onChange={(late) => state.change({ late })}
      />
      <StyleWorks jobs={jobs} works={props.works} planId={props.plan.id} />
      <SettingsFields settings={state.schedule.settings} onChange={(settings) => state.change({ settings })} />
      {shown.length > 0 ? (
        <>
          <Lists {...{ planId: props.plan.id, from, work, jobs, placed: shown, nameOf, cookName: state.cookName }} />
          <SetUpLists from={from} setUps={setUpsOf(shown, { work, jobs, items: props.items })} />
        </>
      ) : null}
      <p className="quiet">
        {dayWords(from)} to {dayWords(addDays(from, days - 1))}. What is marked with ≈ nobody has measured.
      </p>
    </div>
  )
}

/** What can be done, and how far the search is. */
function Heading({ state, plan }: { state: ScheduleRoomState; plan: ScheduleRoomProps['plan'] }) {
  const format = useFormat()
  const { run, make, shown, hasAny } = state
  const isRunning = run.state === 'running'
  const found = run.best
    ? `Looking: ${format.quantity(run.best.late, 'minutes')} late, ${format.quantity(run.best.clean, 'minutes')} of cleaning so far.`
    : 'Looking …'
  return (
    <>
      <p className="no-print">
        <Link to="/plan">All plans</Link> · <Link to={`/plan/${plan.id}`}>{plan.name}</Link> ·{' '}
        <Link to="/wall">Today on the wall</Link>
      </p>
      <div className="room-heading">
        <h1>Schedule</h1>
        <Button className="no-print" disabled={isRunning} onClick={() => make(false)}>
          {hasAny ? 'Start over' : 'Make the schedule'}
        </Button>
        <Button
          className="no-print"
          variant="outline-dark"
          disabled={isRunning || shown.length === 0}
          onClick={() => make(true)}
        >
          Reschedule what is left
        </Button>
        <Button className="no-print" variant="outline-dark" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p role="status" className={css.status}>
        {isRunning ? found : ''}
        {isRunning ? (
          <Button size="sm" variant="outline-dark" onClick={run.stop}>
            Stop
          </Button>
        ) : null}
      </p>
      {run.state === 'failed' ? (
        <p className="refusal" role="alert">
          It could not be made: {run.failure}
        </p>
      ) : null}
    </>
  )
}

const WHY_WORDS = {
  'no-such-skill': 'nobody who is there can do it',
  'longer-than-any-shift': 'it takes longer than anybody’s hours',
  'beyond-the-horizon': 'there is no time for it in the days of this plan',
  'too-late-after': 'nobody is free soon enough after what it follows',
} as const

/** Tasks that cannot be done, and why; the others may be scheduled without them. */
function CannotBeDone({ state: { impossible, nameOf, scheduleOthers } }: { state: ScheduleRoomState }) {
  if (impossible.length === 0) return null
  return (
    <div className="refusal" role="alert">
      <p>It cannot be done as it is: longer hours, another day or another cook would mend it.</p>
      <ul>
        {impossible.map(({ task, why }) => (
          <li key={task}>
            {nameOf(task)}: {WHY_WORDS[why]}.
          </li>
        ))}
      </ul>
      <Button variant="outline-dark" onClick={scheduleOthers}>
        Schedule the rest without it
      </Button>
    </div>
  )
}

/** What would be out of the cold for too long, whoever cuts it: it has no place in any schedule. */
function TooWarm({ state: { work, jobs, schedule } }: { state: ScheduleRoomState }) {
  const warm = jobs.filter(({ id }) => work.tooWarm.includes(id))
  if (warm.length === 0) return null
  const { boardMinutes } = schedule.settings
  return (
    <div className="refusal" role="alert">
      {warm.map(({ id, name, unitName }) => (
        <p key={id}>
          {name} has no place in the schedule: even one {unitName.one} would be out of the cold for longer than{' '}
          {boardMinutes} minutes at a stretch or {DEFAULT_COLD_LIMITS.outMinutes} in all. Less time out of the cold
          before, or other minutes of the style, would mend it.
        </p>
      ))}
    </div>
  )
}

/** What stands on a stove and is done when nobody is on duty, whenever it is put on. */
function Unwatched({ state: { work, nameOf, schedule } }: { state: ScheduleRoomState }) {
  if (work.unwatched.length === 0) return null
  const { begins, closes } = schedule.settings
  return (
    <p className="refusal" role="alert">
      Nobody is on duty when this is done, from {clockWords(begins)} to {clockWords(closes)}:{' '}
      {work.unwatched.map(nameOf).join('; ')}. Fewer hours on the stove, or a longer day, would mend it; leave nothing
      that is hot alone.
    </p>
  )
}

/** Rules that tasks break where they stand, and what should have begun: replanning the rest mends both. */
function Faults({ state: { faults, overdue, nameOf } }: { state: ScheduleRoomState }) {
  if (faults.length === 0 && overdue.length === 0) return null
  return (
    <section aria-labelledby="faults" className="no-print">
      <h2 id="faults">What does not fit</h2>
      <ul>
        {faults.map((fault) => (
          <li key={`${fault.task} ${fault.rule} ${fault.with}`}>{faultWords(fault, nameOf)}</li>
        ))}
        {overdue.map(({ id, start }) => (
          <li key={id}>
            {nameOf(id)} should have begun at {clockWords(start)}.
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Cooks who are not there: what is made next goes without them. */
const Away = ({ state: { away, setAway }, cooks }: { state: ScheduleRoomState; cooks: readonly Cook[] }) => (
  <section aria-labelledby="away" className="no-print">
    <h2 id="away">Who is away</h2>
    <div className={css.away}>
      {cooks.map(({ id, name }) => (
        <Form.Check
          key={id}
          id={`away-${id}`}
          label={name}
          checked={away.includes(id)}
          onChange={(event) => setAway(event.target.checked ? [...away, id] : away.filter((cook) => cook !== id))}
        />
      ))}
    </div>
  </section>
)
