import { DndContext, type DragEndEvent, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core'
import { MINUTES_OF_A_DAY, shiftBy } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { type KeyboardEvent, type ReactNode, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import css from './shift-grid.module.css'

/** A stretch of one cook in one column of the grid. */
export interface GridShift {
  cookId: string
  column: number
  from: number
  until: number
}

interface ShiftGridProps {
  rows: readonly { id: string; name: string; more?: ReactNode }[]
  columns: readonly string[]
  shifts: readonly GridShift[]
  onChange: (cookId: string, column: number, shifts: { from: number; until: number }[]) => void
}

/** What of a day is shown: hardly anybody cuts before six, and who does is shown from six on. */
const FIRST = 6 * 60
const LAST = MINUTES_OF_A_DAY
const USUAL = { from: 8 * 60, until: 12 * 60 }
const STEP = 30

type Part = 'whole' | 'from' | 'until'

/** Who is at the board when: stretches by cook and day, drawn, dragged, made longer at their ends, or moved by keys. */
export function ShiftGrid(props: ShiftGridProps) {
  const { rows, columns, shifts, onChange } = props
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }))
  const first = useRef<HTMLTableCellElement>(null)
  const [chosen, setChosen] = useState<string | null>(null)
  const change = (key: string, part: Part, minutes: number) => {
    const chosenShift = shifts.find((shift) => keyOf(shift) === key)
    if (!chosenShift) return
    const next = shiftBy(chosenShift, part, minutes)
    onChange(chosenShift.cookId, chosenShift.column, [
      ...shifts.filter((shift) => isBeside(shift, chosenShift) && shift !== chosenShift).map(stretch),
      next,
    ])
    setChosen(keyOf({ ...chosenShift, ...next }))
  }
  const remove = (removed: GridShift) =>
    onChange(
      removed.cookId,
      removed.column,
      shifts.filter((shift) => isBeside(shift, removed) && shift !== removed).map(stretch),
    )
  const drop = ({ active, delta }: DragEndEvent) => {
    const { key, part } = active.data.current as { key: string; part: Part }
    change(key, part, (delta.x / (first.current?.clientWidth ?? 1)) * (LAST - FIRST))
  }
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div className="table-responsive">
        <table className={css.grid}>
          <thead>
            <tr>
              <th scope="col">Cook</th>
              {columns.map((column) => (
                <th key={column} scope="col">
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, index) => (
              <tr key={row.id}>
                <th scope="row">
                  {row.name}
                  {row.more}
                </th>
                {columns.map((column, place) => (
                  <td key={column} ref={index === 0 && place === 0 ? first : undefined}>
                    <Day
                      name={`${row.name}, ${column}`}
                      own={shifts.filter((shift) => shift.cookId === row.id && shift.column === place)}
                      {...{ chosen, setChosen, change, remove }}
                      onAdd={() => onChange(row.id, place, [USUAL])}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </DndContext>
  )
}

const keyOf = ({ cookId, column, from, until }: GridShift) => `${cookId} ${column} ${from} ${until}`
const isBeside = (a: GridShift, b: GridShift) => a.cookId === b.cookId && a.column === b.column
const stretch = ({ from, until }: GridShift) => ({ from, until })

interface DayProps {
  name: string
  own: readonly GridShift[]
  chosen: string | null
  setChosen: (key: string) => void
  change: (key: string, part: Part, minutes: number) => void
  remove: (shift: GridShift) => void
  onAdd: () => void
}

function Day({ name, own, chosen, setChosen, change, remove, onAdd }: DayProps) {
  const numbered = own.map((shift, place) => ({ shift, place }))
  return (
    <div className={css.day}>
      {own.length === 0 ? (
        <Button className={css.add} variant="link" aria-label={`${name}: add hours`} onClick={onAdd}>
          +
        </Button>
      ) : null}
      {numbered.map(({ shift, place }) => (
        <Shift
          // A stretch that was moved is still the same one: the hand stays on it.
          key={place}
          {...{ shift, name, change, remove }}
          isChosen={chosen === keyOf(shift)}
          onChoose={() => setChosen(keyOf(shift))}
        />
      ))}
    </div>
  )
}

interface ShiftProps extends Pick<DayProps, 'name' | 'change' | 'remove'> {
  shift: GridShift
  isChosen: boolean
  onChoose: () => void
}

function Shift({ shift, name, isChosen, onChoose, change, remove }: ShiftProps) {
  const key = keyOf(shift)
  const whole = useDraggable({ id: `${key} whole`, data: { key, part: 'whole' } })
  const from = useDraggable({ id: `${key} from`, data: { key, part: 'from' } })
  const until = useDraggable({ id: `${key} until`, data: { key, part: 'until' } })
  const by = (minutes: number) => minutes / (LAST - FIRST)
  const words = `${clockWords(shift.from)} to ${shift.until === LAST ? '24:00' : clockWords(shift.until)}`
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Delete' || event.key === 'Backspace') remove(shift)
    else if (event.key === 'ArrowLeft') change(key, event.shiftKey ? 'until' : 'whole', -STEP)
    else if (event.key === 'ArrowRight') change(key, event.shiftKey ? 'until' : 'whole', STEP)
    else return
    event.preventDefault()
  }
  const moved = (whole.transform?.x ?? 0) + (from.transform?.x ?? 0)
  const longer = (until.transform?.x ?? 0) - (from.transform?.x ?? 0)
  return (
    <div
      className={css.shift}
      style={{
        left: `calc(${by(Math.max(0, shift.from - FIRST)) * 100}% + ${moved}px)`,
        width: `calc(${by(shift.until - Math.max(FIRST, shift.from)) * 100}% + ${longer}px)`,
      }}
    >
      <span ref={from.setNodeRef} {...from.listeners} className={`${css.edge} ${css.left}`} />
      <button
        type="button"
        ref={whole.setNodeRef}
        {...whole.listeners}
        className={css.body}
        aria-label={`${name}: ${words}`}
        aria-pressed={isChosen}
        title={words}
        onClick={onChoose}
        onKeyDown={press}
      ></button>
      <span className={css.words} aria-hidden>
        {words.replace(' to ', '–')}
      </span>
      <span ref={until.setNodeRef} {...until.listeners} className={`${css.edge} ${css.right}`} />
      {isChosen ? (
        <button
          type="button"
          className={css.remove}
          aria-label={`${name}: remove ${words}`}
          onClick={() => remove(shift)}
        >
          ×
        </button>
      ) : null}
    </div>
  )
}
