import { dayIn } from '@fleam/core/calendar'
import { stockInOrder } from '@fleam/core/receiving'
import type { Item } from '@fleam/core/style'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router-dom'
import { useLots } from '../../../data/buying-queries.ts'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { daysLeftWords, stockLots } from '../../../parts/stock-words.ts'
import { useFormat } from '../../../parts/use-format.ts'

interface LotChoiceProps {
  item: Item
  /** The lot that is cut from; null for none. */
  lotId: string | null
}

/** The lot that it comes from, of what is in the cold, what must go first at the top: what is cut leaves it. */
export function LotChoice({ item, lotId }: LotChoiceProps) {
  const lots = useLots()
  const navigate = useNavigate()
  const format = useFormat()
  const { timeZone } = useKitchen()
  const rows = (lots.data ?? []).filter(({ lot }) => lot.itemId === item.id)
  const stock = stockInOrder(stockLots(rows, [item]), dayIn(timeZone, new Date()))
  if (stock.length === 0 && lotId === null) return null
  return (
    <Form.Group controlId="start-lot" className="wide">
      <Form.Label>From the cold</Form.Label>
      <Form.Select
        value={lotId ?? ''}
        onChange={({ target }) => void navigate(target.value === '' ? '/bench' : `/bench?lot=${target.value}`)}
      >
        <option value="">no lot: what is cut is taken from none</option>
        {stock.map(({ id, left, daysLeft, isHeld }) => {
          const lot = rows.find((row) => row.lot.id === id)?.lot
          return (
            <option key={id} value={id}>
              {`lot ${lot?.code ?? 'without a number'}, ${lot?.supplier ?? ''}: ${format.weight(left)} left`}
              {daysLeft === null ? '' : `, last day ${daysLeftWords(daysLeft)}`}
              {isHeld ? ', in quarantine' : ''}
            </option>
          )
        })}
      </Form.Select>
    </Form.Group>
  )
}
