import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate } from 'react-router-dom'
import { useUpdateFabrication } from '../../../data/queries.ts'
import { dayWords } from '../../../parts/dates.ts'
import { Failed } from '../../../parts/states.tsx'
import type { LiveFabrication } from '../state/use-live-fabrication.ts'

/** Gives a batch up, after asking once: its weighings stay with it, and it counts nowhere until it is taken up again. */
export function Abandon({ live: { record } }: { live: LiveFabrication }) {
  const navigate = useNavigate()
  const change = useUpdateFabrication(record.id)
  const [isAsking, setAsking] = useState(false)
  if (record.status === 'closed') return null
  const isOpen = record.status === 'open'
  const set = (status: 'open' | 'abandoned') =>
    change.mutate(editOf(record, { status }), { onSuccess: () => isOpen && navigate('/bench') })
  return (
    <div>
      {isOpen && !isAsking ? (
        <Button variant="outline-dark" onClick={() => setAsking(true)}>
          Abandon this batch …
        </Button>
      ) : (
        <p>
          {isOpen ? 'Its weights stay with it, and it counts nowhere. You can open it again. ' : ''}
          <Button variant="outline-dark" disabled={change.isPending} onClick={() => set(isOpen ? 'abandoned' : 'open')}>
            {isOpen ? 'Abandon it' : 'Open it again'}
          </Button>{' '}
          {isOpen ? (
            <Button variant="outline-dark" onClick={() => setAsking(false)}>
              Cancel
            </Button>
          ) : null}
        </p>
      )}
      {change.isError ? <Failed error={change.error} /> : null}
    </div>
  )
}

/** Batches that were given up, to be opened again. */
export function Abandoned({ rows }: { rows: readonly FabricationRow[] }) {
  return (
    <details>
      <summary>Abandoned ({rows.length})</summary>
      <ul>
        {rows.map(({ id, document: { item, style, meta } }) => (
          <li key={id}>
            <Link to={`/bench/${id}`}>
              {item}: {style.toLowerCase()}
            </Link>
            {meta?.date ? `, ${dayWords(meta.date)}` : ''}
            {meta?.cook ? `, ${meta.cook}` : ''}
          </li>
        ))}
      </ul>
    </details>
  )
}
