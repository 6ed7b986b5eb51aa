import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useLocation } from 'react-router-dom'
import { useCreateLogbookView, useDeleteLogbookView, useLogbookViews } from '../../data/logbook-queries.ts'
import { Failed } from '../../parts/states.tsx'
import css from './kept-views.module.css'

/** Views that the kitchen keeps under a name, each a link; and this one, to be kept. */
export function KeptViews() {
  const { search } = useLocation()
  const { data: views = [] } = useLogbookViews()
  const create = useCreateLogbookView()
  const forget = useDeleteLogbookView()
  const [name, setName] = useState<string | null>(null)
  const keep = (event: FormEvent) => {
    event.preventDefault()
    const written = (name ?? '').trim()
    if (written !== '') create.mutate({ name: written, search }, { onSuccess: () => setName(null) })
  }
  const shown = views.find((view) => view.search === search)
  return (
    <nav className={`${css.views} no-print`} aria-label="Kept views">
      {views.map((view) => (
        <Link key={view.id} to={`/logbook${view.search}`} aria-current={view === shown ? 'page' : undefined}>
          {view.name}
        </Link>
      ))}
      {name === null ? (
        <Button size="sm" variant="outline-dark" onClick={() => setName('')}>
          Keep this view
        </Button>
      ) : (
        <Form onSubmit={keep} className={css.keep}>
          <Form.Control
            autoFocus
            aria-label="Name of the view"
            placeholder="name of the view"
            maxLength={120}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <Button size="sm" type="submit" disabled={name.trim() === '' || create.isPending}>
            Keep
          </Button>
          <Button size="sm" variant="outline-dark" onClick={() => setName(null)}>
            Cancel
          </Button>
        </Form>
      )}
      {shown ? (
        <Button size="sm" variant="outline-dark" disabled={forget.isPending} onClick={() => forget.mutate(shown.id)}>
          Forget “{shown.name}”
        </Button>
      ) : null}
      {create.isError ? <Failed error={create.error} /> : null}
      {forget.isError ? <Failed error={forget.error} /> : null}
    </nav>
  )
}
