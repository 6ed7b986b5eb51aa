import type { FabricationRow } from '@fleam/contract'
import { ErrorBoundary } from 'react-error-boundary'
import { Link } from 'react-router-dom'

interface OddRecordProps {
  row: FabricationRow
  /** How it stands in its list: a row of a table, or an entry. */
  as: 'tr' | 'li'
  /** Columns of the table. */
  columns?: number
  children: React.ReactNode
}

/** One record of a list: where it is so odd that it cannot be drawn, it says so, and the others are there all the same. */
export function OneRecord({ row, as, columns, children }: OddRecordProps) {
  const words = (
    <>
      <strong>{row.document.item}</strong>: something in this record is odd, and it cannot be shown here.{' '}
      <Link to={`/${row.status === 'open' ? 'bench' : 'verdict'}/${row.id}`}>Look at it</Link>
    </>
  )
  return (
    <ErrorBoundary
      fallback={
        as === 'li' ? (
          <li>{words}</li>
        ) : (
          <tr>
            <td colSpan={columns}>{words}</td>
          </tr>
        )
      }
    >
      {children}
    </ErrorBoundary>
  )
}
