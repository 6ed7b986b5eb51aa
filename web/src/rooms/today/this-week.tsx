import { addDays } from '@fleam/core/calendar'
import { Link } from 'react-router-dom'
import { useLogbookSummary, useLogbookTotal } from '../../data/logbook-queries.ts'
import { Brought } from '../../parts/brought.tsx'

const WEEK_DAYS = 7

/** This week in one sentence, and the records that are to be looked at. */
export function ThisWeek({ today }: { today: string }) {
  const week = useLogbookSummary({ from: addDays(today, 1 - WEEK_DAYS), to: today }, 'item').data
  const doubtful = useLogbookTotal({ counted: 'no' }).data ?? 0
  if (!week || (week.all.records === 0 && doubtful === 0)) return null
  return (
    <section aria-labelledby="this-week">
      <h2 id="this-week">This week</h2>
      {week.all.records > 0 ? (
        <p>
          <Brought summary={week} /> <Link to="/logbook?period=7">Logbook</Link>
        </p>
      ) : (
        <p>Nothing was finished in the last seven days.</p>
      )}
      {doubtful > 0 ? (
        <p>
          {doubtful} {doubtful === 1 ? 'record does' : 'records do'} not count, because the weights do not add up or
          somebody left {doubtful === 1 ? 'it' : 'them'} out.{' '}
          <Link to="/logbook?period=all&counted=no">Look at {doubtful === 1 ? 'it' : 'them'}</Link>
        </p>
      ) : null}
    </section>
  )
}
