import type { ColdLoad } from '@fleam/core/fabrication'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { NumberField } from '../../../parts/number-field.tsx'
import { numbers, SmallTable, unseen } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { ColdState } from '../state/use-cold-loads.ts'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'

interface LoadsDialogProps {
  live: LiveFabrication
  cold: ColdState
  onClose: () => void
}

/** Every load of the batch: how many units it has, and how long it has been out. */
export default function LoadsDialog({ live, cold, onClose }: LoadsDialogProps) {
  const format = useFormat()
  const { loads, waiting, limits, minutes, cooks } = cold
  return (
    <Modal show onHide={onClose} aria-labelledby="loads-title" centered scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="loads-title" as="h2">
          Loads
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>
          {live.record.units} in all, about {format.quantity(minutes, 'minutes')} of one cook
          {cooks > 1 ? `, ${format.quantity(minutes / cooks, 'minutes')} with ${cooks} at work` : ''}. Each load is back
          in the fridge within {limits.boardMinutes} min, and out for {limits.outMinutes} min in all at most.
        </p>
        <SmallTable heads={['Load', 'How many', numbers('Now'), numbers('In all'), unseen('Do')]} className="">
          {loads.map((load) => (
            <LoadRow key={load.load} load={load} most={load.units + waiting} live={live} />
          ))}
        </SmallTable>
        <p>{waiting > 0 ? `${waiting} wait in the fridge.` : 'None waits any more.'}</p>
      </Modal.Body>
    </Modal>
  )
}

interface LoadRowProps {
  load: ColdLoad
  /** What it may have at most: its own and those that wait. */
  most: number
  live: LiveFabrication
}

function LoadRow({ load: { load, units, isOut, boardMinutes, outMinutes }, most, live }: LoadRowProps) {
  const minutes = (value: number) => `${Math.floor(value)}\u00a0min`
  const toggle = () =>
    void live.mark(`load ${load} ${isOut ? 'back in' : 'out of'} the fridge`, {
      mark: isOut ? 'cold-in' : 'cold-out',
      load,
    })
  const resize = (count: number | null) => {
    if (count === null || !Number.isInteger(count) || count === units) return
    void live.mark(`load ${load} is of ${count}`, { mark: 'cold-out', load, units: count })
  }
  return (
    <tr>
      <th scope="row">{load}</th>
      <td>
        {isOut ? (
          <NumberField
            isLabelHidden
            label={`Units of load ${load}`}
            value={units}
            min={1}
            max={most}
            onChange={resize}
          />
        ) : (
          units
        )}
      </td>
      <td className="number">{isOut ? `out ${minutes(boardMinutes)}` : 'in the fridge'}</td>
      <td className="number">{minutes(outMinutes)}</td>
      <td>
        <Button size="sm" variant="outline-dark" onClick={toggle}>
          {isOut ? 'Back in' : 'Out again'}
        </Button>
      </td>
    </tr>
  )
}
