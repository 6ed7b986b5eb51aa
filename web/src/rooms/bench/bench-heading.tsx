import { minutesBetween } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'
import { useNow } from './use-now.ts'

/** Minutes on the board after which it should be back in the cold; a default that the local code overrules. */
const BOARD_LIMIT_MINUTES = 30
const TICK_MS = 15_000

export function BenchHeading({ live }: { live: LiveFabrication }) {
  const { record } = live
  const format = useFormat(record.currency)
  const now = useNow(TICK_MS)
  const minutes = minutesBetween(record.startedAt, now)
  const isLate = record.status === 'open' && minutes >= BOARD_LIMIT_MINUTES
  return (
    <header className="bench-heading">
      <h1>
        {record.item} <span className="quiet">for</span> {record.style.toLowerCase()}
      </h1>
      <p>
        {format.weight(record.purchase.invoiceWeight)} on the invoice
        {record.supplier ? ` · ${record.supplier}` : ''}
        {record.cook ? ` · ${record.cook}` : ''}
        {record.status === 'closed' ? ' · finished' : ''}
      </p>
      {record.status === 'open' ? (
        <p className={isLate ? 'board-clock late' : 'board-clock'}>
          On the board {minutes} min{isLate ? ': back into the cold' : ''}
        </p>
      ) : null}
    </header>
  )
}
