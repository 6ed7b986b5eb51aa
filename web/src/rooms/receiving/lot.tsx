import './receiving.css'
import { faultWords } from '@fleam/catalogue'
import { type LotTrace, lotEditOf } from '@fleam/contract'
import { isSentBack, lotClaim } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router-dom'
import { useLot, useUpdateLot } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { dayIn } from '../../parts/dates.ts'
import { Explained } from '../../parts/figure.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { draftOf, lotOf, missingOf } from './lot-draft.ts'
import { LotFacts } from './lot-facts.tsx'
import { LotForm } from './lot-form.tsx'
import { LotMade } from './lot-made.tsx'
import { LotPhotos } from './lot-photos.tsx'
import { measuredWords } from './measured-words.ts'
import { StandingChoice } from './standing-choice.tsx'

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
  const { lot } = trace
  const { timeZone } = useKitchen()
  const format = useFormat()
  const change = useUpdateLot()
  const [draft, setDraft] = useState<Parameters<typeof lotOf>[0] | null>(null)
  const today = dayIn(timeZone, new Date())
  const claim = lotClaim(lot)
  const { short } = claim.delivery
  const faults = lot.checks.filter((check) => check.isFault)
  const missing = draft ? missingOf(draft) : null
  return (
    <BuyingRoom
      title={`${lot.item}, lot ${lot.code ?? 'without a number'}`}
      actions={
        <>
          {isSentBack(lot.standing) ? null : (
            <Link className="btn btn-primary" to={`/bench?lot=${lot.id}`}>
              Cut from it
            </Link>
          )}
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
          <div className="form-actions">
            <Button disabled={missing !== null || change.isPending} onClick={() => change.mutate(lotOf(draft))}>
              Keep the changes
            </Button>
            <span className="quiet">{missing}</span>
          </div>
        </>
      ) : (
        <div className="two-columns">
          <LotFacts trace={trace} />
          <section aria-labelledby="found">
            <h2 id="found">What was found</h2>
            {short > 0 || faults.length > 0 || claim.whole !== null ? (
              <>
                <ul>
                  {short > 0 ? <li>{format.weight(short)} short</li> : null}
                  {faults.map((check) => (
                    <li key={check.checkId}>
                      {faultWords(check.checkId)}
                      {measuredWords(check, format)}
                      {check.note ? `: ${check.note}` : ''}
                    </li>
                  ))}
                </ul>
                {claim.total > 0 ? (
                  <p>
                    To claim: <Explained explanation={claim.explanation} format={format} />
                  </p>
                ) : null}
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
            <StandingChoice
              standing={lot.standing}
              isPending={change.isPending}
              onChange={(standing, standingReason) => change.mutate({ ...lotEditOf(lot), standing, standingReason })}
            />
            <LotPhotos trace={trace} />
          </section>
        </div>
      )}
      <LotMade trace={trace} />
    </BuyingRoom>
  )
}
