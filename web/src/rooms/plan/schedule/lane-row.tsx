import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { FollowedTask, PlannedJob, ScheduleFault, WorkPlan } from '@fleam/core/scheduling'
import { clockWords, taskWords } from '@fleam/core/wording'
import type { KeyboardEvent } from 'react'
import { isIn, type Lane, laneKey } from './moved.ts'
import css from './schedule.module.css'

export interface LanesProps {
  work: WorkPlan
  jobs: readonly PlannedJob[]
  faults: readonly ScheduleFault[]
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
  /** Minutes of now since the first day. */
  now: number
  onMove: (id: string, by: { minutes: number; lane?: Lane | undefined }) => void
}

interface LaneRowProps extends LanesProps {
  lane: Lane
  lanes: readonly Lane[]
  own: readonly FollowedTask[]
  /** Where minutes lie on the row, in per cent. */
  place: (minutes: number) => string
  first: number
  last: number
  onOpen: (id: string) => void
}

/** Minutes by which a bar is moved at once. */
export const STEP = 5
const STATE_WORDS = { waiting: '', running: ', going on', done: ', done' } as const

/** The row of a cook or of one board, with when the cook is there, and the time. */
export function LaneRow(props: LaneRowProps) {
  const { lane, own, work, place, first, last, now } = props
  const { setNodeRef, isOver } = useDroppable({ id: laneKey(lane) })
  const shifts = lane.kind === 'cook' ? (work.request.cooks.find(({ name }) => name === lane.name)?.shifts ?? []) : []
  return (
    <>
      <div className={css.laneName}>
        {lane.kind === 'cook' ? props.cookName(lane.name) : `${lane.station} ${lane.number}`}
      </div>
      <div ref={setNodeRef} className={`${css.lane} ${isOver ? css.over : ''}`}>
        {shifts
          .filter(([from, until]) => from < last && until > first)
          .map(([from, until]) => (
            <div
              key={from}
              className={css.shift}
              style={{ left: place(from), right: `calc(100% - ${place(until)})` }}
            />
          ))}
        {own
          .filter((task) => isIn(lane, task) && task.start < last)
          .map((task) => (
            <Bar key={task.id} task={task} {...props} />
          ))}
        {now >= first && now <= last ? <div className={css.now} style={{ left: place(now) }} /> : null}
      </div>
    </>
  )
}

/** One task: touched it opens, dragged or by the arrow keys it moves, as long as it waits. */
function Bar({
  task,
  work,
  jobs,
  faults,
  nameOf,
  lane,
  lanes,
  place,
  onMove,
  onOpen,
}: LaneRowProps & { task: FollowedTask }) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: task.id })
  const of = work.tasks.find(({ id }) => id === task.id)
  const job = jobs.find(({ id }) => id === of?.jobId)
  const isHeld = task.state !== 'waiting'
  const isBroken = faults.some((fault) => fault.task === task.id || fault.with === task.id)
  const name = `${nameOf(task.id)}, ${clockWords(task.start)} to ${clockWords(task.end)}${STATE_WORDS[task.state]}`
  const key = (event: KeyboardEvent) => {
    const at = lanes.findIndex((other) => laneKey(other) === laneKey(lane))
    const by = {
      ArrowLeft: { minutes: -STEP },
      ArrowRight: { minutes: STEP },
      ArrowUp: { minutes: 0, lane: lanes[at - 1] },
      ArrowDown: { minutes: 0, lane: lanes[at + 1] },
    }[event.key]
    const isNowhere = by !== undefined && by.minutes === 0 && by.lane === undefined
    if (!by || isNowhere || isHeld) return
    event.preventDefault()
    onMove(task.id, by)
  }
  const worn = [
    css.bar,
    css[job?.species ?? ''],
    isBroken ? css.broken : undefined,
    of?.kind === 'cut' ? undefined : css.quiet,
    isHeld ? css[task.state] : undefined,
  ]
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...(isHeld ? {} : listeners)}
      {...attributes}
      aria-roledescription="task"
      aria-label={name}
      title={name}
      onKeyDown={key}
      onClick={() => onOpen(task.id)}
      className={worn.filter((name) => name !== undefined).join(' ')}
      style={{
        left: place(task.start),
        width: `calc(${place(task.end)} - ${place(task.start)})`,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <span className={css.task}>
        {of?.isAssumed ? '≈ ' : ''}
        {of && job ? taskWords(of, job) : task.id}
      </span>
      {job ? <span className={css.job}>{job.name}</span> : null}
    </button>
  )
}
