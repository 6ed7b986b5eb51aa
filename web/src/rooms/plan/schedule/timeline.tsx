import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import type { Plan } from '@fleam/contract'
import {
  addDays,
  type Day,
  type FollowedTask,
  MINUTES_OF_A_DAY,
  type PlannedJob,
  type ScheduleFault,
  taskWords,
  type WorkPlan,
} from '@fleam/core'
import { type KeyboardEvent, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import ButtonGroup from 'react-bootstrap/ButtonGroup'
import { clockWords, dayWords } from '../../../parts/dates.ts'
import { TaskActions } from '../../../parts/next-for-you.tsx'

import { isIn, type Lane, laneKey, lanesOf } from './moved.ts'
import css from './schedule.module.css'
import { TaskDetails } from './task-details.tsx'

interface TimelineProps {
  plan: Pick<Plan, 'id' | 'told'>
  from: Day
  days: number
  work: WorkPlan
  jobs: readonly PlannedJob[]
  placed: readonly FollowedTask[]
  faults: readonly ScheduleFault[]
  nameOf: (id: string) => string
  cookName: (id: string | null) => string
  /** Minutes of now since the first day. */
  now: number
  onMove: (id: string, by: { minutes: number; lane?: Lane | undefined }) => void
}

const STEP = 5
const STATE_WORDS = { waiting: '', running: ', going on', done: ', done' } as const
const HOUR = 60

/** One day as bars in a row for each cook or each board; a bar is moved by touch or by the arrow keys. */
export function Timeline(props: TimelineProps) {
  const { from, days, work, placed, now, onMove } = props
  const [by, setBy] = useState<Lane['kind']>('cook')
  const busy = Array.from({ length: days + 1 }, (_, at) => at).filter((at) =>
    placed.some((task) => task.start < (at + 1) * MINUTES_OF_A_DAY && task.end > at * MINUTES_OF_A_DAY),
  )
  const today = Math.floor(now / MINUTES_OF_A_DAY)
  const [chosen, setChosen] = useState<number | null>(null)
  const day = chosen ?? (busy.includes(today) ? today : (busy.find((at) => at >= today) ?? busy[0] ?? 0))
  const own = placed.filter((task) => task.start < (day + 1) * MINUTES_OF_A_DAY && task.end > day * MINUTES_OF_A_DAY)
  // A pot that stands all day would leave the cooks no room: it has its own rows, by station.
  const drawn = by === 'cook' && own.some(({ cook }) => cook !== null) ? own.filter(({ cook }) => cook !== null) : own
  const begin = day * MINUTES_OF_A_DAY
  const first = Math.max(
    begin,
    Math.floor(Math.min(...drawn.map((task) => task.start), begin + 18 * HOUR) / HOUR) * HOUR,
  )
  const last = Math.min(
    begin + MINUTES_OF_A_DAY,
    Math.ceil(Math.max(...drawn.map((task) => task.end), first + HOUR) / HOUR) * HOUR,
  )
  const lanes = lanesOf(work.request, by)
  const board = useRef<HTMLDivElement>(null)
  const [openId, setOpenId] = useState<string | null>(null)
  const open = placed.find(({ id }) => id === openId)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }))
  const drop = ({ active, delta, over }: DragEndEvent) => {
    const width = board.current?.clientWidth ?? 1
    const minutes = Math.round(((delta.x / width) * (last - first)) / STEP) * STEP
    const lane = lanes.find((each) => laneKey(each) === over?.id)
    if (minutes !== 0 || lane) onMove(String(active.id), { minutes, lane })
  }
  const place = (minutes: number) => `${((Math.max(first, Math.min(last, minutes)) - first) / (last - first)) * 100}%`
  const hours = Array.from({ length: (last - first) / HOUR + 1 }, (_, at) => first + at * HOUR)
  return (
    <section aria-labelledby="timeline" className="no-print">
      <h2 id="timeline">{dayWords(addDays(from, day))}</h2>
      <div className={css.choices}>
        <ButtonGroup aria-label="Day">
          {busy.map((at) => (
            <Button
              key={at}
              size="sm"
              variant={at === day ? 'primary' : 'outline-dark'}
              aria-pressed={at === day}
              onClick={() => setChosen(at)}
            >
              {dayWords(addDays(from, at))}
            </Button>
          ))}
        </ButtonGroup>
        <ButtonGroup aria-label="Rows">
          {(['cook', 'unit'] as const).map((each) => (
            <Button
              key={each}
              size="sm"
              variant={each === by ? 'primary' : 'outline-dark'}
              aria-pressed={each === by}
              onClick={() => setBy(each)}
            >
              {each === 'cook' ? 'By cook' : 'By station'}
            </Button>
          ))}
        </ButtonGroup>
      </div>
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className={css.timeline}>
          <div className={css.laneName} />
          <div className={css.hours} ref={board}>
            {hours.map((at) => (
              <span key={at} style={{ left: place(at) }}>
                {clockWords(at)}
              </span>
            ))}
          </div>
          {lanes.map((lane) => (
            <LaneRow
              key={laneKey(lane)}
              {...props}
              {...{ lane, lanes, own, place, begin, first, last }}
              onOpen={setOpenId}
            />
          ))}
        </div>
      </DndContext>
      {open ? (
        <TaskDetails task={open} {...props}>
          {open.kind === 'cut' ? null : (
            <TaskActions
              task={{
                ...{ id: open.id, planId: props.plan.id, jobId: open.jobId, kind: open.kind, state: open.state },
                ...{ fabricationId: null, begunAt: beganAt(props.plan, open.id) },
              }}
            />
          )}
        </TaskDetails>
      ) : null}
      <p className="quiet">
        Touch a bar to open it, drag it, or move it with the arrow keys: five minutes, or to another row.
      </p>
    </section>
  )
}

/** When a hand said that a task began; null where none did. */
const beganAt = ({ told }: Pick<Plan, 'told'>, id: string) => told.find(({ taskId }) => taskId === id)?.begunAt ?? null

interface LaneRowProps extends TimelineProps {
  lane: Lane
  lanes: readonly Lane[]
  own: readonly FollowedTask[]
  place: (minutes: number) => string
  begin: number
  first: number
  last: number
  onOpen: (id: string) => void
}

function LaneRow(props: LaneRowProps) {
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
          .filter((task) => isIn(lane, task))
          .map((task) => (
            <Bar key={task.id} task={task} {...props} />
          ))}
        {now >= first && now <= last ? <div className={css.now} style={{ left: place(now) }} /> : null}
      </div>
    </>
  )
}

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
    const at = lanes.findIndex((each) => laneKey(each) === laneKey(lane))
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
      className={`${css.bar} ${css[job?.species ?? ''] ?? ''} ${isBroken ? css.broken : ''} ${of?.kind === 'cut' ? '' : css.quiet} ${task.state === 'waiting' ? '' : css[task.state]}`}
      style={{
        left: place(task.start),
        width: `calc(${place(task.end)} - ${place(task.start)})`,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      {of?.isAssumed ? '≈ ' : ''}
      {job?.name ?? task.id}
      {of && job ? <span>{taskWords(of, job)}</span> : null}
    </button>
  )
}
