import { faultWords } from '@fleam/catalogue'
import type { Lot } from '@fleam/contract'
import { deliveryClaim } from '@fleam/core'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { useParams } from 'react-router-dom'
import { useLot } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { kitchenPath } from '../../data/queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { BuyingRoom } from './buying-room.tsx'
import { measuredWords } from './measured-words.ts'

/** A sheet for the supplier: what is missing, what is wrong, what it comes to. */
export function Component() {
  const { lotId = '' } = useParams()
  const lot = useLot(lotId)
  if (lot.data) return <ClaimSheet lot={lot.data.lot} />
  return (
    <BuyingRoom title="Claim">
      {lot.isError ? <Failed error={lot.error} retry={() => void lot.refetch()} /> : <Loading what="the lot" />}
    </BuyingRoom>
  )
}

function ClaimSheet({ lot }: { lot: Lot }) {
  const { id, name } = useKitchen()
  const format = useFormat()
  const claim = deliveryClaim(lot.cases, lot.price)
  const faults = lot.checks.filter((check) => check.isFault)
  return (
    <BuyingRoom
      title={`Claim to ${lot.supplier}`}
      actions={
        <span className="buying-actions no-print">
          <Button onClick={() => window.print()}>Print</Button>
          <a className="btn btn-outline-dark" href={`${kitchenPath(id)}/lots/${lot.id}/claim.csv`} download>
            As CSV
          </a>
        </span>
      }
    >
      <div className="claim-sheet">
        <p>
          {name}. Delivery of {dayWords(lot.receivedOn)}: {lot.item}, lot {lot.code ?? 'without a number'}.
        </p>
        <Table className="buying-table" responsive>
          <thead>
            <tr>
              <th scope="col">Case</th>
              <th scope="col" className="number">
                Invoice
              </th>
              <th scope="col" className="number">
                Weighed
              </th>
              <th scope="col" className="number">
                Short
              </th>
              <th scope="col" className="number">
                Claim
              </th>
            </tr>
          </thead>
          <tbody>
            {lot.cases.map((each, at) => (
              <tr key={each.id}>
                <th scope="row">{each.serial ?? at + 1}</th>
                <td className="number">{format.weight(each.invoiceWeight)}</td>
                <td className="number">{each.weighed === null ? 'not weighed' : format.weight(each.weighed)}</td>
                <td className="number">{format.weight(claim.cases[at]?.short ?? 0)}</td>
                <td className="number">{format.money(claim.cases[at]?.claim ?? 0)}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">In all, cases that are over counted in</th>
              <td className="number">{format.weight(claim.invoiceWeight)}</td>
              <td className="number">{format.weight(claim.receivedWeight)}</td>
              <td className="number">{format.weight(Math.max(0, claim.short))}</td>
              <td className="number">
                <strong>{format.money(claim.claim)}</strong>
              </td>
            </tr>
          </tfoot>
        </Table>
        {faults.length > 0 ? (
          <>
            <h2 className="mt-3">Faults</h2>
            <ul>
              {faults.map((check) => (
                <li key={check.checkId}>
                  {faultWords(check.checkId)}
                  {measuredWords(check, format)}
                  {check.note ? `: ${check.note}` : ''}
                </li>
              ))}
            </ul>
          </>
        ) : null}
      </div>
    </BuyingRoom>
  )
}
