import type { PlacedTask, PlannedJob, ScheduleFault, WorkPlan } from '@fleam/core/scheduling'
import { clockWords, faultWords } from '@fleam/core/wording'
import { Link } from 'react-router-dom'

import css from './schedule.module.css'

interface TaskDetailsProps {
  task: PlacedTask
  work: WorkPlan
  jobs: readonly PlannedJob[]
  faults: readonly ScheduleFault[]
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
  children?: React.ReactNode
}

/** One task opened: when, who, where, by when, after what; and the way to its bench. */
export function TaskDetails({ task, work, jobs, faults, nameOf, cookName, children }: TaskDetailsProps) {
  const of = work.tasks.find(({ id }) => id === task.id)
  const asked = work.request.tasks.find(({ id }) => id === task.id)
  const job = jobs.find(({ id }) => id === of?.jobId)
  const faultsOfTask = faults.filter((fault) => fault.task === task.id)
  return (
    <div className={css.details} role="status">
      <strong>{nameOf(task.id)}</strong>: {clockWords(task.start)} to {clockWords(task.end)}
      {task.cook ? `, ${cookName(task.cook)}` : ''}
      {task.station ? `, ${task.station.name} ${task.station.number}` : ''}
      {asked?.due ? `, to be done by ${clockWords(asked.due)}` : ''}
      {of?.isAssumed ? '. Nobody has measured how long it takes' : ''}.{' '}
      {job && of?.kind === 'cut' ? (
        job.progress ? (
          job.progress.end === null ? (
            'It is on the board.'
          ) : (
            'It is cut.'
          )
        ) : (
          <Link to={`/bench?planned=${job.id}`}>Start at the bench</Link>
        )
      ) : null}
      {children}
      {faultsOfTask.length > 0 ? (
        <ul>
          {faultsOfTask.map((fault) => (
            <li key={`${fault.rule} ${fault.with}`}>{faultWords(fault, nameOf)}</li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
