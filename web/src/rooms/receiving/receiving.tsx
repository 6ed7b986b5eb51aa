import type { LotRow } from '@fleam/contract'
import { deliveryClaim, SHORT_SHARE } from '@fleam/core'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { Link } from 'react-router-dom'
import { useLots } from '../../data/buying-queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'

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
    <Table className="list-table" responsive>
      <thead>
        <tr>
          <th scope="col">Received</th>
          <th scope="col">Lot</th>
          <th scope="col">What</th>
          <th scope="col">Supplier</th>
          <th scope="col" className="number">
            Weight
          </th>
          <th scope="col">Found</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ lot }) => {
          const claim = deliveryClaim(lot.cases, lot.price)
          const faults = lot.checks.filter((check) => check.isFault).length
          const isShort = claim.shortShare > SHORT_SHARE
          return (
            <tr key={lot.id}>
              <td>{dayWords(lot.receivedOn)}</td>
              <th scope="row">
                <Link to={`/buying/lots/${lot.id}`}>{lot.code ?? 'no number'}</Link>
              </th>
              <td>{lot.item}</td>
              <td>{lot.supplier}</td>
              <td className="number">{format.weight(claim.receivedWeight)}</td>
              <td className={isShort || faults > 0 ? 'verdict-word doubt' : ''}>
                {[
                  claim.short > 0 ? `${format.weight(claim.short)} short` : '',
                  faults > 0 ? `${faults} ${faults === 1 ? 'fault' : 'faults'}` : '',
                ]
                  .filter((part) => part !== '')
                  .join(', ') || 'right'}
              </td>
            </tr>
          )
        })}
      </tbody>
    </Table>
  )
}
