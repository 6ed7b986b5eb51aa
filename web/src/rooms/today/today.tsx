import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { dayIn } from '@fleam/core/calendar'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useFabrications } from '../../data/queries.ts'
import { ColdOver } from '../../parts/cold-over.tsx'
import { todayWords } from '../../parts/dates.ts'
import { NextForYou } from '../../parts/next-for-you.tsx'
import { OpenFabrications } from '../../parts/open-fabrications.tsx'
import { PlannedFabrications } from '../../parts/planned-fabrications.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { ExpectedToday } from './expected-today.tsx'
import { ImportButton } from './import-button.tsx'
import { LatestRecords } from './latest-records.tsx'
import { Otherwise } from './otherwise.tsx'
import { ThisWeek } from './this-week.tsx'
import { TurnedVerdicts } from './turned-verdicts.tsx'
import { UnreadableRows } from './unreadable-rows.tsx'
import { UseBySoon } from './use-by-soon.tsx'

/** The others are in the logbook. */
const MAX_SHOWN = 40

/** What is on the board now, and what the latest records say. */
export function Component() {
  const fabrications = useFabrications(MAX_SHOWN)
  if (fabrications.data) return <TodayRoom rows={fabrications.data} />
  if (fabrications.isError) return <Failed error={fabrications.error} retry={() => void fabrications.refetch()} />
  return <Loading what="today’s work" />
}

function TodayRoom({ rows }: { rows: FabricationRow[] }) {
  const { timeZone } = useKitchen()
  const open = rows.filter((row) => row.status === 'open')
  const closed = rows.filter((row) => row.status === 'closed')
  return (
    <div className="room">
      <div className="room-heading">
        <h1>{todayWords(timeZone, new Date())}</h1>
        <Link className={open.length > 0 ? 'btn btn-outline-dark' : 'btn btn-primary'} to="/bench">
          Start a fabrication
        </Link>
        <ImportButton />
      </div>
      <ColdOver rows={open} />
      {open.length > 0 ? <OpenFabrications rows={open} /> : null}
      <NextForYou />
      <PlannedFabrications until={dayIn(timeZone, new Date())} />
      <Otherwise />
      <ExpectedToday />
      <TurnedVerdicts />
      <UseBySoon />
      <UnreadableRows />
      <ThisWeek today={dayIn(timeZone, new Date())} />
      {rows.length === 0 ? (
        <Empty title="Nothing has been weighed yet">
          <p>Start a fabrication: say what goes on the board and what it cost, and weigh each pile as it leaves.</p>
        </Empty>
      ) : null}
      {closed.length > 0 ? <LatestRecords rows={closed} /> : null}
    </div>
  )
}
