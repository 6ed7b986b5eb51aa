import type { Lot, LotRow } from '@fleam/contract/receiving/schemas'
import { deliveryClaim, SHORT_SHARE } from '@fleam/core/receiving'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { useLots } from '../../data/buying-queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { type DataColumn, DataTable } from '../../parts/data-table/data-table.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { type Format, useFormat } from '../../parts/use-format.ts'
import { Expected } from './expected.tsx'

/** Every delivery, newest first; a lot is found by its number, item or supplier. */
export function Component() {
  const [words, setWords] = useState('')
  const lots = useLots(words)
  return (
    <BuyingRoom
      title="Receiving"
      actions={
        <Link className="btn btn-primary" to="/buying/receiving/new">
          A delivery is here
        </Link>
      }
    >
      <Expected />
      <Form.Control
        type="search"
        aria-label="Find a lot"
        placeholder="lot, item, supplier …"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        style={{ maxWidth: '22rem' }}
      />
      {lots.isError ? <Failed error={lots.error} retry={() => void lots.refetch()} /> : null}
      {lots.data ? <Lots rows={lots.data} words={words} /> : lots.isPending ? <Loading what="the deliveries" /> : null}
    </BuyingRoom>
  )
}

function Lots({ rows, words }: { rows: readonly LotRow[]; words: string }) {
  const format = useFormat()
  if (rows.length === 0) {
    return (
      <Empty title={words === '' ? 'Nothing has been received yet' : 'No such lot'}>
        <p>When a delivery comes, scan its labels and weigh it before the driver leaves.</p>
      </Empty>
    )
  }
  return (
    <DataTable name="deliveries" columns={lotColumns(format)} rows={rows} idOf={({ lot }) => lot.id} isSearchedAbove />
  )
}

const lotColumns = (format: Format): DataColumn<LotRow>[] => [
  {
    id: 'received',
    header: 'Received',
    value: ({ lot }) => lot.receivedOn,
    words: ({ lot }) => dayWords(lot.receivedOn),
    cell: ({ lot }) => dayWords(lot.receivedOn),
  },
  {
    id: 'lot',
    header: 'Lot',
    isRowHeader: true,
    value: ({ lot }) => lot.code,
    cell: ({ lot }) => <Link to={`/buying/lots/${lot.id}`}>{lot.code ?? 'no number'}</Link>,
  },
  { id: 'what', header: 'What', value: ({ lot }) => lot.item },
  { id: 'supplier', header: 'Supplier', value: ({ lot }) => lot.supplier },
  {
    id: 'weight',
    header: 'Weight',
    csvHeader: 'weight g',
    isNumber: true,
    value: ({ lot }) => deliveryClaim(lot.cases, lot.price).receivedWeight,
    cell: ({ lot }) => format.weight(deliveryClaim(lot.cases, lot.price).receivedWeight),
  },
  {
    id: 'found',
    header: 'Found',
    value: ({ lot }) => foundWords(lot, format),
    cell: ({ lot }) => (
      <span className={isToBeLookedAt(lot) ? 'verdict-word doubt' : ''}>{foundWords(lot, format)}</span>
    ),
  },
]

const faultsOf = (lot: Lot) => lot.checks.filter((check) => check.isFault).length
const isToBeLookedAt = (lot: Lot) => deliveryClaim(lot.cases, lot.price).shortShare > SHORT_SHARE || faultsOf(lot) > 0

/** What was found at the door. */
function foundWords(lot: Lot, format: Format): string {
  const { short } = deliveryClaim(lot.cases, lot.price)
  const faults = faultsOf(lot)
  const parts = [
    ...(short > 0 ? [`${format.weight(short)} short`] : []),
    ...(faults > 0 ? [`${faults} ${faults === 1 ? 'fault' : 'faults'}`] : []),
  ]
  return parts.join(', ') || 'right'
}
