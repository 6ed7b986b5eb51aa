import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useStrikeUnreadable, useUnreadable } from '../../data/unreadable-queries.ts'
import { Failed } from '../../parts/states.tsx'

const KIND_WORDS: Readonly<Record<UnreadableRow['kind'], string>> = {
  plan: 'The plan',
  schedule: 'The schedule of',
  fabrication: 'The record',
}

/** What the lists leave out because it cannot be read, each with a way to delete it; nothing where all can be read. */
export function UnreadableRows() {
  const rows = useUnreadable()
  const strike = useStrikeUnreadable()
  if (!rows.data?.length) return null
  return (
    <section aria-labelledby="unreadable">
      <h2 id="unreadable">Cannot be read</h2>
      <p className="quiet">These were stored and cannot be shown. Everything else is there.</p>
      <ul className="turned">
        {rows.data.map((row) => (
          <Row key={`${row.kind} ${row.id}`} row={row} isBusy={strike.isPending} onDelete={() => strike.mutate(row)} />
        ))}
      </ul>
      {strike.isError ? <Failed error={strike.error} retry={() => void rows.refetch()} /> : null}
    </section>
  )
}

function Row({ row, isBusy, onDelete }: { row: UnreadableRow; isBusy: boolean; onDelete: () => void }) {
  const [isAsking, setAsking] = useState(false)
  return (
    <li>
      {KIND_WORDS[row.kind]} {row.name}{' '}
      {isAsking ? (
        <>
          is deleted for good.{' '}
          <Button variant="danger" disabled={isBusy} onClick={onDelete}>
            Delete
          </Button>{' '}
          <Button variant="outline-dark" onClick={() => setAsking(false)}>
            Cancel
          </Button>
        </>
      ) : (
        <Button variant="outline-dark" onClick={() => setAsking(true)}>
          Delete …
        </Button>
      )}
    </li>
  )
}
