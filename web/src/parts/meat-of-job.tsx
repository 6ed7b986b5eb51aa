import { dayIn } from '@fleam/core/calendar'
import type { PlannedFabrication } from '@fleam/core/plans'
import { stockInOrder } from '@fleam/core/receiving'
import { Link } from 'react-router-dom'
import { useLots } from '../data/buying-queries.ts'
import { useKitchen } from '../data/kitchen-context.ts'
import { usePlanned } from '../data/planning-queries.ts'
import { useItems } from '../data/queries.ts'
import { daysLeftWords, stockLots } from './stock-words.ts'

/** Where the meat of a planned job lies: its own lot, else what of it in the cold must go first. */
export function MeatOfJob({ jobId }: { jobId: string }) {
  const job = usePlanned().data?.find(({ id }) => id === jobId)
  return job ? <MeatOf job={job} /> : null
}

function MeatOf({ job }: { job: PlannedFabrication }) {
  const { timeZone } = useKitchen()
  const lots = useLots().data ?? []
  const items = useItems().data ?? []
  const rows = lots.filter(({ lot }) => (job.lotId === null ? lot.itemId === job.itemId : lot.id === job.lotId))
  const [first] = stockInOrder(stockLots(rows, items), dayIn(timeZone, new Date())).filter(({ isHeld }) => !isHeld)
  const lot = rows.find((row) => row.lot.id === first?.id)?.lot
  if (!first || !lot) return <span className="quiet">{job.lotId === null ? 'waits for its delivery' : ''}</span>
  return (
    <span className="quiet">
      in the cold: <Link to={`/buying/lots/${lot.id}`}>lot {lot.code ?? 'without a number'}</Link>
      {first.daysLeft === null ? '' : `, last day ${daysLeftWords(first.daysLeft)}`}
    </span>
  )
}
