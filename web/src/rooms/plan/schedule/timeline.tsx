import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { addDays, type Day } from '@fleam/core/calendar'
import type { Plan } from '@fleam/core/plans'
import { cuttingMinutes, explainCutting, type FollowedTask } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import ButtonGroup from 'react-bootstrap/ButtonGroup'
import { dayWords } from '../../../parts/dates.ts'
import { OpenFigure } from '../../../parts/figure.tsx'
import { TaskActions } from '../../../parts/next-for-you.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import { daysWithWork, firstShown, hoursShown, rowsOf, tasksOn } from './day-shown.ts'
import { DaysStrip } from './days-strip.tsx'
import { LaneRow, type LanesProps, STEP } from './lane-row.tsx'
import { type Lane, laneKey, lanesOf } from './moved.ts'
import css from './schedule.module.css'
import { TaskDetails } from './task-details.tsx'

interface TimelineProps extends LanesProps {
  plan: Pick<Plan, 'id' | 'told'>
  from: Day
  days: number
  placed: readonly FollowedTask[]
}

/** One day as bars in a row for each cook or each board; a bar is moved by touch or by the arrow keys. */
export function Timeline(props: TimelineProps) {
  const format = useFormat()
  const { from, days, work, placed, now, nameOf } = props
  const [by, setBy] = useState<Lane['kind']>('cook')
  const [chosen, setChosen] = useState<number | null>(null)
  const [openId, setOpenId] = useState<string | null>(null)
  const day = chosen ?? firstShown(daysWithWork(placed, days), now)
  const tasks = tasksOn(placed, day)
  const rows = rowsOf(lanesOf(work.request, { by, own: tasks }), tasks)
  const open = placed.find(({ id }) => id === openId)
  return (
    <section aria-labelledby="timeline" className="no-print">
      <h2 id="timeline">{dayWords(addDays(from, day))}</h2>
      <p>
        <OpenFigure explain={() => explainCutting(tasks, nameOf)} format={format}>
          {format.quantity(cuttingMinutes(tasks), 'minutes')}
        </OpenFigure>{' '}
        of cutting
      </p>
      <DaysStrip {...props} chosen={day} onChoose={setChosen} />
      <div className={css.choices}>
        <Choice name="Rows" choices={ROWS} chosen={by} onChoose={setBy} />
      </div>
      {[rows.board, rows.stove].map((lanes, index) =>
        lanes.length > 0 ? (
          <Rows key={index === 0 ? 'board' : 'stove'} {...props} {...{ day, own: tasks, lanes }} onOpen={setOpenId} />
        ) : null,
      )}
      {open ? <OpenTask task={open} {...props} /> : null}
      <p className="quiet">
        Touch a bar to open it, drag it, or move it with the arrow keys: five minutes, or to another row.
      </p>
    </section>
  )
}

interface RowsProps extends TimelineProps {
  day: number
  own: readonly FollowedTask[]
  lanes: readonly Lane[]
  onOpen: (id: string) => void
}

/** Some rows of a day under the hours in which something is done there. */
function Rows({ day, lanes, ...props }: RowsProps) {
  const { own, onMove } = props
  const board = useRef<HTMLDivElement>(null)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }))
  const { first, last, hours } = hoursShown(own, day, lanes)
  const drop = ({ active, delta, over }: DragEndEvent) => {
    const width = board.current?.clientWidth ?? 1
    const minutes = Math.round(((delta.x / width) * (last - first)) / STEP) * STEP
    const lane = lanes.find((lane) => laneKey(lane) === over?.id)
    if (minutes !== 0 || lane) onMove(String(active.id), { minutes, lane })
  }
  const place = (minutes: number) => `${((Math.max(first, Math.min(last, minutes)) - first) / (last - first)) * 100}%`
  return (
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
          <LaneRow key={laneKey(lane)} {...props} {...{ lane, lanes, place, first, last }} />
        ))}
      </div>
    </DndContext>
  )
}

const ROWS = [
  { id: 'cook', words: 'By cook' },
  { id: 'unit', words: 'By station' },
] as const

interface ChoiceProps<Id> {
  name: string
  choices: readonly { id: Id; words: string }[]
  chosen: Id
  onChoose: (id: Id) => void
}

const Choice = <Id extends string | number>({ name, choices, chosen, onChoose }: ChoiceProps<Id>) => (
  <ButtonGroup aria-label={name}>
    {choices.map(({ id, words }) => (
      <Button
        key={id}
        size="sm"
        variant={id === chosen ? 'primary' : 'outline-dark'}
        aria-pressed={id === chosen}
        onClick={() => onChoose(id)}
      >
        {words}
      </Button>
    ))}
  </ButtonGroup>
)

/** A task that was touched; what no scale tells of is begun and done here. */
function OpenTask({ task, ...props }: TimelineProps & { task: FollowedTask }) {
  const { id, jobId, kind, state } = task
  const { plan } = props
  const begunAt = plan.told.find(({ taskId }) => taskId === id)?.begunAt ?? null
  return (
    <TaskDetails task={task} {...props}>
      {kind === 'cut' ? null : (
        <TaskActions task={{ ...{ id, jobId, kind, state, begunAt }, planId: plan.id, fabricationId: null }} />
      )}
    </TaskDetails>
  )
}
