import { faultWords } from '@fleam/catalogue'
import { addressOf } from '@fleam/contract/client'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import type { Lot, LotTrace } from '@fleam/contract/receiving/schemas'
import { lotClaim } from '@fleam/core/receiving'
import { minorDigits, roundParts } from '@fleam/core/units'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { Link, useParams } from 'react-router-dom'
import { useLot, useSuppliers } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { dayWords } from '../../parts/dates.ts'
import { Explained } from '../../parts/figure.tsx'
import { priceWords } from '../../parts/price-words.ts'
import { STANDING_WORDS } from '../../parts/standing-words.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './claim.module.css'
import lotPhotosCss from './lot-photos.module.css'
import { measuredWords } from './measured-words.ts'

const { readPhoto, exportClaim, printClaim } = receivingOperations

/** A sheet for the supplier: what is missing, what is wrong, what it comes to. */
export function Component() {
  const { lotId = '' } = useParams()
  const lot = useLot(lotId)
  if (lot.data) return <ClaimSheet trace={lot.data} />
  return (
    <BuyingRoom title="Claim">
      {lot.isError ? <Failed error={lot.error} retry={() => void lot.refetch()} /> : <Loading what="the lot" />}
    </BuyingRoom>
  )
}

function ClaimSheet({ trace }: { trace: LotTrace }) {
  const { lot } = trace
  const { id } = useKitchen()
  const format = useFormat()
  const owed = lotClaim(lot)
  const faults = lot.checks.filter((check) => check.isFault)
  return (
    <BuyingRoom title={`Claim to ${lot.supplier}`} actions={<SheetActions lotId={lot.id} />}>
      <div className={css.claimSheet}>
        <ClaimHead lot={lot} />
        <CaseTable lot={lot} />
        {faults.length > 0 ? <Faults lot={lot} /> : null}
        <p className={css.claimTotal}>
          To claim in all: <Explained explanation={owed.explanation} format={format} />
        </p>
        {trace.photos.length > 0 ? (
          <div className={lotPhotosCss.lotPhotos}>
            {trace.photos.map((photo) => (
              <img
                key={photo.id}
                src={addressOf(readPhoto, { kitchenId: id, lotId: lot.id, photoId: photo.id })}
                alt="of this delivery"
              />
            ))}
          </div>
        ) : null}
        <p className={css.claimSignature}>Signature, name and day</p>
      </div>
    </BuyingRoom>
  )
}

/** The sheet on paper and as files. */
function SheetActions({ lotId }: { lotId: string }) {
  const { id } = useKitchen()
  const of = { kitchenId: id, lotId }
  return (
    <span className="form-actions no-print">
      <Button onClick={() => window.print()}>Print</Button>
      <a className="btn btn-outline-dark" href={addressOf(exportClaim, of)} download>
        As CSV
      </a>
      <a className="btn btn-outline-dark" href={addressOf(printClaim, of)} target="_blank" rel="noreferrer">
        As PDF
      </a>
    </span>
  )
}

/** What each case should have weighed, and what is missing from it. */
function CaseTable({ lot }: { lot: Lot }) {
  const format = useFormat()
  const claim = lotClaim(lot).delivery
  return (
    <Table className="list-table" responsive>
      <thead>
        <tr>
          <th scope="col">Case</th>
          <th scope="col" className="number">
            Unit price
          </th>
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
        {lot.cases.map((lotCase, index) => (
          <tr key={lotCase.id}>
            <th scope="row">{lotCase.serial ?? index + 1}</th>
            <td className="number">{priceWords(lot.price, format)}</td>
            <td className="number">{format.weight(lotCase.invoiceWeight)}</td>
            <td className="number">{lotCase.weighed === null ? 'not weighed' : format.weight(lotCase.weighed)}</td>
            <td className="number">{format.weight(claim.cases[index]?.short ?? 0)}</td>
            <td className="number">{format.money(claim.cases[index]?.claim ?? 0)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colSpan={2}>
            In all, cases that are over counted in
          </th>
          <td className="number">{format.weight(claim.invoiceWeight)}</td>
          <td className="number">{format.weight(claim.receivedWeight)}</td>
          <td className="number">{format.weight(Math.max(0, claim.short))}</td>
          <td className="number">
            <strong>{format.money(claim.claim)}</strong>
          </td>
        </tr>
      </tfoot>
    </Table>
  )
}

/** Who claims from whom, and the numbers that both sides file it by. */
function ClaimHead({ lot }: { lot: Lot }) {
  const kitchen = useKitchen()
  const supplier = useSuppliers().data?.find((row) => row.id === lot.supplierId)
  const numbers = [
    ['lot', lot.code],
    ['invoice', lot.invoiceNumber],
    ['order', lot.orderNumber],
    ['article', lot.articleNumber ?? lot.gtin],
  ] as const
  return (
    <>
      <div className={css.claimAddresses}>
        <p>
          <strong>{kitchen.name}</strong>
          <br />
          {kitchen.address ?? <Link to="/settings">add our address</Link>}
        </p>
        <p>
          <strong>{lot.supplier}</strong>
          <br />
          {supplier?.address ?? <Link to="/settings">add their address</Link>}
        </p>
      </div>
      <p>
        Delivery of {dayWords(lot.receivedOn)}: {lot.item}
        {numbers.map(([name, number]) => (number ? `, ${name} ${number}` : '')).join('')}.
        {lot.standing === 'accepted' ? null : ` ${STANDING_WORDS[lot.standing]}: ${lot.standingReason ?? ''}`}
      </p>
    </>
  )
}

/** What was wrong, and what each fault is worth; what is missing and these add up to what is claimed. */
function Faults({ lot }: { lot: Lot }) {
  const format = useFormat()
  const { currency } = useKitchen()
  const owed = lotClaim(lot)
  const shown = roundParts(
    [owed.delivery.claim, ...owed.faults.map(({ worth }) => worth)],
    minorDigits(currency),
    owed.delivery.claim + owed.faults.reduce((sum, { worth }) => sum + worth, 0),
  )
  const worthOf = (checkId: string) => shown[owed.faults.findIndex((fault) => fault.checkId === checkId) + 1]
  return (
    <>
      <h2 className="mt-3">Faults</h2>
      <ul>
        {lot.checks
          .filter((check) => check.isFault)
          .map((check) => (
            <li key={check.checkId}>
              {faultWords(check.checkId)}
              {measuredWords(check, format)}
              {check.note ? `: ${check.note}` : ''}
              {check.worth ? `, ${format.money(worthOf(check.checkId) ?? check.worth)}` : ''}
            </li>
          ))}
      </ul>
    </>
  )
}
