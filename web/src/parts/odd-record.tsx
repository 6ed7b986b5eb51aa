import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { ErrorBoundary } from 'react-error-boundary'
import { Link } from 'react-router-dom'

/** What stands in a list for a record that is so odd that it cannot be drawn. */
export const OddRecord = ({ row }: { row: FabricationRow }) => (
  <>
    <strong>{row.document.item}</strong>: something in this record is odd, and it cannot be shown here.{' '}
    <Link to={`/${row.status === 'open' ? 'bench' : 'verdict'}/${row.id}`}>Look at it</Link>
  </>
)

/** One record of a list of entries: where it is odd it says so, and the others are there all the same. */
export const OneRecord = ({ row, children }: { row: FabricationRow; children: React.ReactNode }) => (
  <ErrorBoundary
    fallback={
      <li>
        <OddRecord row={row} />
      </li>
    }
  >
    {children}
  </ErrorBoundary>
)
