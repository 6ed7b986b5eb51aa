import type { DayTask } from '@fleam/core/plans'
import { isOnDuty } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useCooks } from '../data/queries.ts'
import { useDaySchedule, useTellTask } from '../data/schedule-queries.ts'
import { readSetting, writeSetting } from '../data/settings.ts'
import { MeatOfJob } from './meat-of-job.tsx'
import css from './next-for-you.module.css'
import { Failed } from './states.tsx'

const SETTING = 'cook-of-this-device'
const SHOWN = 3

/** What the cook of this device does now and next, by today's schedule; nothing where nothing is scheduled. */
export function NextForYou() {
  const schedule = useDaySchedule()
  const cooks = useCooks()
  const [cookId, setCookId] = useState(() => readSetting(SETTING))
  const tasks = schedule.data?.tasks ?? []
  const next = cookId === null ? [] : nextOf(tasks, cookId)
  if (tasks.length === 0) return null
  return (
    <section aria-labelledby="next-for-you">
      <div className={css.heading}>
        <h2 id="next-for-you">Next for</h2>
        <Form.Select
          aria-label="Whose device this is"
          value={cookId ?? ''}
          onChange={(event) => {
            setCookId(event.target.value || null)
            writeSetting(SETTING, event.target.value || null)
          }}
        >
          <option value="">who are you?</option>
          {(cooks.data ?? []).map((cook) => (
            <option key={cook.id} value={cook.id}>
              {cook.name}
            </option>
          ))}
        </Form.Select>
        <Link to="/wall">All cooks on the wall</Link>
      </div>
      {cookId !== null && next.length === 0 ? <p>Nothing more for today.</p> : null}
      <ol className={css.next}>
        {next.map((task) => (
          <NextTask key={task.id} task={task} />
        ))}
      </ol>
    </section>
  )
}

/** The next tasks of a cook, and of those that fall to whoever is on duty the next: the first who does it says so. */
function nextOf(tasks: readonly DayTask[], cookId: string): DayTask[] {
  const open = tasks.filter(({ state }) => state !== 'done')
  const theirs = open.filter((task) => task.cookId === cookId).slice(0, SHOWN)
  const onDuty = open.find(({ kind }) => isOnDuty(kind))
  return onDuty ? [...theirs, onDuty].sort((one, other) => one.start - other.start) : theirs
}

function NextTask({ task }: { task: DayTask }) {
  const isRunning = task.state === 'running'
  return (
    <li className={isRunning ? css.running : ''}>
      <div>
        <strong>
          {clockWords(task.start)} to {clockWords(task.end)}
        </strong>{' '}
        {task.what}
        {isOnDuty(task.kind) ? <span className="quiet">, whoever is on duty</span> : null}
        {task.station ? (
          <span className="quiet">
            , {task.station.name} {task.station.number}
          </span>
        ) : null}
        {task.kind === 'cut' && task.state === 'waiting' ? (
          <>
            <br />
            <MeatOfJob jobId={task.jobId} />
          </>
        ) : null}
      </div>
      <TaskActions task={task} />
    </li>
  )
}

/** What a hand can do with a task: cutting begins and ends at the bench, everything else is told. */
export function TaskActions({
  task,
}: {
  task: Pick<DayTask, 'id' | 'planId' | 'jobId' | 'kind' | 'state' | 'begunAt' | 'fabricationId'>
}) {
  const tell = useTellTask()
  const { id: taskId, planId, state, begunAt } = task
  if (task.kind === 'cut') {
    if (state === 'done') return null
    return task.fabricationId ? (
      <Link className="btn btn-primary" to={`/bench/${task.fabricationId}`}>
        Go on weighing
      </Link>
    ) : (
      <Link className="btn btn-outline-dark" to={`/bench?planned=${task.jobId}`}>
        Start at the bench
      </Link>
    )
  }
  const now = () => new Date().toISOString()
  const say = (begun: string | null, done: string | null) =>
    tell.mutate({ planId, taskId, begunAt: begun, doneAt: done })
  return (
    <span className={css.actions}>
      {state === 'waiting' ? (
        <Button variant="outline-dark" disabled={tell.isPending} onClick={() => say(now(), null)}>
          Begin
        </Button>
      ) : null}
      {state === 'done' ? (
        <Button variant="link" disabled={tell.isPending} onClick={() => say(begunAt, null)}>
          not done after all
        </Button>
      ) : (
        <Button
          variant={state === 'running' ? 'primary' : 'outline-dark'}
          disabled={tell.isPending}
          onClick={() => say(begunAt, now())}
        >
          Done
        </Button>
      )}
      {tell.isError ? <Failed error={tell.error} /> : null}
    </span>
  )
}
