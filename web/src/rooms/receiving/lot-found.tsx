import { faultWords } from '@fleam/catalogue'
import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import { lotClaim } from '@fleam/core/receiving'
import { Link } from 'react-router-dom'
import type { useUpdateLot } from '../../data/buying-queries.ts'
import { Explained } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { LotPhotos } from './lot-photos.tsx'
import { measuredWords } from './measured-words.ts'
import { StandingChoice } from './standing-choice.tsx'

interface LotFoundProps {
  trace: LotTrace
  change: ReturnType<typeof useUpdateLot>
}

/** What was found at the door, what is claimed for it, and where the lot stands since. */
export function LotFound({ trace, change }: LotFoundProps) {
  const { lot } = trace
  return (
    <section aria-labelledby="found">
      <h2 id="found">What was found</h2>
      <Faults lot={lot} />
      <StandingChoice
        standing={lot.standing}
        isPending={change.isPending}
        onChange={(standing, standingReason) => change.mutate({ ...lotEditOf(lot), standing, standingReason })}
      />
      <LotPhotos trace={trace} />
    </section>
  )
}

function Faults({ lot }: { lot: LotTrace['lot'] }) {
  const format = useFormat()
  const claim = lotClaim(lot)
  const { short } = claim.delivery
  const faults = lot.checks.filter((check) => check.isFault)
  if (short <= 0 && faults.length === 0 && claim.whole === null) {
    return (
      <p>
        Everything was right: {lot.checks.length} {lot.checks.length === 1 ? 'thing was' : 'things were'} looked at.
      </p>
    )
  }
  return (
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
  )
}
