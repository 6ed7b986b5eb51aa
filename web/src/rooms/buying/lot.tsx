import { faultWords } from '@fleam/catalogue'
import { type LotTrace, lotEditOf } from '@fleam/contract'
import { deliveryClaim, leftOf } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router-dom'
import { useChangeLot, useLot } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { dayIn, dayWords } from '../../parts/dates.ts'
import { priceWords } from '../../parts/price-words.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { BuyingRoom } from './buying-room.tsx'
import { draftOf, lotOf, missingOf } from './lot-draft.ts'
import { LotForm } from './lot-form.tsx'
import { LotMade } from './lot-made.tsx'
import { LotPhotos } from './lot-photos.tsx'
import { measuredWords } from './measured-words.ts'

/** One lot: what came, what was found, where it went. */
export function Component() {
  const { lotId = '' } = useParams()
  const lot = useLot(lotId)
  if (lot.data) return <LotPage key={`${lotId} ${lot.data.lot.version}`} trace={lot.data} />
  return (
    <BuyingRoom title="A lot">
      {lot.isError ? <Failed error={lot.error} retry={() => void lot.refetch()} /> : <Loading what="the lot" />}
    </BuyingRoom>
  )
}

function LotPage({ trace }: { trace: LotTrace }) {
  const { lot, usedWeight } = trace
  const { timeZone } = useKitchen()
  const format = useFormat()
  const change = useChangeLot()
  const [draft, setDraft] = useState<Parameters<typeof lotOf>[0] | null>(null)
  const today = dayIn(timeZone, new Date())
  const claim = deliveryClaim(lot.cases, lot.price)
  const faults = lot.checks.filter((check) => check.isFault)
  const missing = draft ? missingOf(draft) : null
  return (
    <BuyingRoom
      title={`${lot.item}, lot ${lot.code ?? 'without a number'}`}
      actions={
        <>
          <Link className="btn btn-primary" to={`/bench?lot=${lot.id}`}>
            Cut from it
          </Link>
          {lot.openedOn === null ? (
            <Button
              variant="outline-dark"
              disabled={change.isPending}
              onClick={() => change.mutate({ ...lotEditOf(lot), openedOn: today })}
            >
              It is opened
            </Button>
          ) : null}
          <Button
            variant="outline-dark"
            disabled={change.isPending}
            onClick={() => change.mutate({ ...lotEditOf(lot), isFinished: !lot.isFinished })}
          >
            {lot.isFinished ? 'Still some left' : 'It is finished'}
          </Button>
          <Button variant="outline-dark" onClick={() => setDraft(draft ? null : draftOf(lot))}>
            {draft ? 'Cancel' : 'Change'}
          </Button>
        </>
      }
    >
      {change.isError ? <Failed error={change.error} /> : null}
      {draft ? (
        <>
          <LotForm draft={draft} onChange={setDraft} />
          <div className="buying-actions">
            <Button disabled={missing !== null || change.isPending} onClick={() => change.mutate(lotOf(draft))}>
              Keep the changes
            </Button>
            <span className="quiet">{missing}</span>
          </div>
        </>
      ) : (
        <div className="buying-columns">
          <section aria-labelledby="came">
            <h2 id="came">What came</h2>
            <dl className="sums">
              <Fact name="From">{lot.supplier}</Fact>
              <Fact name="Received">{dayWords(lot.receivedOn)}</Fact>
              <Fact name="Price">{priceWords(lot.price, format)}</Fact>
              <Fact name="On the invoice">{format.weight(claim.invoiceWeight)}</Fact>
              <Fact name="Came">{format.weight(claim.receivedWeight)}</Fact>
              <Fact name="Cut from it so far">{format.weight(usedWeight)}</Fact>
              <Fact name="Should be left">{format.weight(leftOf({ ...claim, usedWeight }))}</Fact>
              <Fact name="Use by">{lot.useBy ? dayWords(lot.useBy) : 'nobody says'}</Fact>
              <Fact name="Opened">{lot.openedOn ? dayWords(lot.openedOn) : 'not yet'}</Fact>
              {lot.gtin ? <Fact name="Article number">{lot.gtin}</Fact> : null}
            </dl>
          </section>
          <section aria-labelledby="found">
            <h2 id="found">What was found</h2>
            {claim.short > 0 || faults.length > 0 ? (
              <>
                <ul>
                  {claim.short > 0 ? (
                    <li>
                      {format.weight(claim.short)} short
                      {claim.claim > 0 ? `, ${format.money(claim.claim)} to claim` : ''}
                    </li>
                  ) : null}
                  {faults.map((check) => (
                    <li key={check.checkId}>
                      {faultWords(check.checkId)}
                      {measuredWords(check, format)}
                      {check.note ? `: ${check.note}` : ''}
                    </li>
                  ))}
                </ul>
                <Link className="btn btn-outline-dark" to={`/buying/lots/${lot.id}/claim`}>
                  Claim sheet
                </Link>
              </>
            ) : (
              <p>
                Everything was right: {lot.checks.length} {lot.checks.length === 1 ? 'thing was' : 'things were'} looked
                at.
              </p>
            )}
            <LotPhotos trace={trace} />
          </section>
        </div>
      )}
      <LotMade trace={trace} />
    </BuyingRoom>
  )
}

const Fact = ({ name, children }: { name: string; children: string }) => (
  <div>
    <dt>{name}</dt>
    <dd>{children}</dd>
  </div>
)
