import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { dayIn, minutesSince } from '@fleam/core/calendar'
import { clockWords } from '@fleam/core/wording'
import { Link } from 'react-router-dom'
import { useKitchen } from '../data/kitchen-context.ts'
import { AppraisedContext, useAppraisal } from './appraised-context.ts'
import { OneRecord } from './odd-record.tsx'
import { TwinBeam } from './twin-beam.tsx'

/** What is on the board now: one touch goes on with it. */
export const OpenFabrications = ({ rows }: { rows: FabricationRow[] }) => (
  <section aria-labelledby="open">
    <h2 id="open">On the board now</h2>
    <ul className="open-list">
      {rows.map((row) => (
        <OneRecord key={row.id} row={row}>
          <OpenFabrication row={row} />
        </OneRecord>
      ))}
    </ul>
  </section>
)

function OpenFabrication({ row }: { row: FabricationRow }) {
  const appraised = useAppraisal(row.document)
  const expected = useAppraisal(row.expected ?? row.document)
  const { item, style, meta } = row.document
  const { timeZone } = useKitchen()
  const started = new Date(row.startedAt)
  const { weights } = appraised.appraisal
  return (
    <li>
      <div>
        <strong>{item}</strong> for {style.toLowerCase()}
        <br />
        <span className="quiet">
          {meta?.cook ? `${meta.cook} · ` : ''}since{' '}
          {clockWords(minutesSince(dayIn(timeZone, started), timeZone, started))} ·{' '}
          {meta?.lot ? `lot ${meta.lot} · ` : ''}
          {appraised.format.weight(weights.unaccounted)} of {appraised.format.weight(weights.received)} still to weigh
        </span>
      </div>
      <AppraisedContext value={appraised}>
        <TwinBeam small expected={expected.appraisal} hasMoney={row.priceFrom !== 'none'} />
      </AppraisedContext>
      <Link className="btn btn-primary" to={`/bench/${row.id}`}>
        Go on weighing
      </Link>
    </li>
  )
}
