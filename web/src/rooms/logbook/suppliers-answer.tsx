import { Link, useLocation } from 'react-router-dom'
import { useLogbookSummary } from '../../data/logbook-queries.ts'
import { useFormat } from '../../parts/use-format.ts'
import { Answer, waitingFor } from './answer.tsx'
import { StandOut, standsOut } from './stand-out.tsx'
import type { LogbookView } from './use-view.ts'

/** Which supplier's goods give more or less than the others' at the same cuts. */
export function SuppliersAnswer({ view }: { view: LogbookView }) {
  const summary = useLogbookSummary(view.filters, 'supplier')
  const format = useFormat()
  const { search } = useLocation()
  const out = (summary.data?.groups ?? []).filter(standsOut)
  return (
    <Answer id="goods" question="Suppliers" waiting={waitingFor('the suppliers', summary)}>
      {out.length === 0 ? (
        <p>No supplier’s goods give more or less than the others’ at the same cuts, beyond chance.</p>
      ) : (
        <p>
          <StandOut groups={out} group="supplier" format={format} /> than the others at the same cuts.
        </p>
      )}
      <p>
        <Link to={`/logbook/suppliers${search}`}>One card for each supplier</Link>
      </p>
    </Answer>
  )
}
