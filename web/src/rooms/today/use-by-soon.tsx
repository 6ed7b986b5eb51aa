import { dayIn } from '@fleam/core/calendar'
import { stockInOrder } from '@fleam/core/receiving'
import { Link } from 'react-router-dom'
import { useLots } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { daysLeftWords, stockLots } from '../../parts/stock-words.ts'
import { useFormat } from '../../parts/use-format.ts'

/** Raw lots whose last day is near: cut them first. */
export function UseBySoon() {
  const lots = useLots()
  const items = useItems()
  const { timeZone } = useKitchen()
  const format = useFormat()
  if (!lots.data || !items.data) return null
  const stock = stockInOrder(stockLots(lots.data, items.data), dayIn(timeZone, new Date()))
  const soon = stock.filter((line) => line.state !== 'good')
  if (soon.length === 0) return null
  return (
    <section aria-labelledby="use-by">
      <h2 id="use-by">To use first</h2>
      <ul className="turned">
        {soon.map(({ id, left, daysLeft, state, isHeld }) => {
          const lot = lots.data.find((row) => row.lot.id === id)?.lot
          return lot ? (
            <li key={id}>
              <Link to={`/buying/lots/${id}`}>
                {lot.item}, lot {lot.code ?? 'without a number'}
              </Link>
              : {format.weight(left)} left, last day{' '}
              <span className={`use-by ${state}`}>{daysLeftWords(daysLeft)}</span>
              {isHeld ? <strong>, in quarantine</strong> : null}.
            </li>
          ) : null
        })}
      </ul>
    </section>
  )
}
