import type { Lot } from '@fleam/contract/receiving/schemas'
import { dayIn } from '@fleam/core/calendar'
import { stockInOrder } from '@fleam/core/receiving'
import { Link } from 'react-router-dom'
import { useLots } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { daysLeftWords, stockLots } from '../../parts/stock-words.ts'
import { type Format, useFormat } from '../../parts/use-format.ts'

/** What is in the cold: what must go first at the top, and what is opened. */
export function Component() {
  const lots = useLots()
  const items = useItems()
  const { timeZone } = useKitchen()
  const format = useFormat()
  if (!lots.data || !items.data) {
    return (
      <BuyingRoom title="Cold store">
        {lots.isError ? (
          <Failed error={lots.error} retry={() => void lots.refetch()} />
        ) : (
          <Loading what="what is in the cold" />
        )}
      </BuyingRoom>
    )
  }
  const stock = stockInOrder(stockLots(lots.data, items.data), dayIn(timeZone, new Date()))
  const lotOf = (id: string) => lots.data.find((row) => row.lot.id === id)?.lot
  return (
    <BuyingRoom title="Cold store">
      {stock.length === 0 ? (
        <Empty title="Nothing raw is in the cold">
          <p>
            <Link to="/buying/receiving/new">Take a delivery in</Link>, and it stands here until it is cut.
          </p>
        </Empty>
      ) : (
        <DataTable
          name="cold-store"
          columns={stockColumns(lotOf, format)}
          rows={stock.filter(({ id }) => lotOf(id))}
          idOf={({ id }) => id}
        />
      )}
    </BuyingRoom>
  )
}

type Stock = ReturnType<typeof stockInOrder>[number]

const stockColumns = (lotOf: (id: string) => Lot | undefined, format: Format): DataColumn<Stock>[] => [
  {
    id: 'use-by',
    header: 'Use by',
    value: ({ lastDay }) => lastDay,
    words: ({ lastDay }) => (lastDay ? dayWords(lastDay) : ''),
    cell: ({ lastDay, daysLeft, state }) => (
      <span className={`use-by ${state}`}>
        {lastDay ? `${dayWords(lastDay)}, ${daysLeftWords(daysLeft)}` : 'nobody says'}
      </span>
    ),
  },
  { id: 'what', header: 'What', isRowHeader: true, value: ({ id }) => lotOf(id)?.item ?? null },
  {
    id: 'lot',
    header: 'Lot',
    value: ({ id }) => lotOf(id)?.code ?? null,
    cell: ({ id, isHeld }) => (
      <>
        <Link to={`/buying/lots/${id}`}>{lotOf(id)?.code ?? 'no number'}</Link>
        {isHeld ? <strong> in quarantine</strong> : null}
      </>
    ),
  },
  { id: 'supplier', header: 'Supplier', value: ({ id }) => lotOf(id)?.supplier ?? null },
  {
    id: 'left',
    header: 'Left',
    csvHeader: 'left g',
    isNumber: true,
    value: ({ left }) => left,
    cell: ({ left }) => format.weight(left),
  },
  {
    id: 'opened',
    header: 'Opened',
    value: ({ id }) => lotOf(id)?.openedOn ?? null,
    cell: ({ id }) => openedWords(lotOf(id)),
  },
  {
    id: 'cut',
    header: 'What to do with it',
    value: null,
    cell: ({ id, isHeld }) => (
      <Link
        className="btn btn-outline-dark btn-sm"
        to={`/bench?lot=${id}`}
        aria-label={`Cut from lot ${lotOf(id)?.code ?? 'without a number'}`}
      >
        {isHeld ? 'Cut with a reason' : 'Cut from it'}
      </Link>
    ),
  },
]

const openedWords = (lot: Lot | undefined) => (lot?.openedOn ? dayWords(lot.openedOn) : 'closed')
