import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
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
  const [isNaming, setNaming] = useState(false)
  const shown = views.find((view) => view.search === search)
  return (
    <nav className={`${css.views} no-print`} aria-label="Kept views">
      {views.map((view) => (
        <Link key={view.id} to={`/logbook${view.search}`} aria-current={view === shown ? 'page' : undefined}>
          {view.name}
        </Link>
      ))}
      {isNaming ? (
        <NameForm
          isPending={create.isPending}
          onName={(name) => create.mutate({ name, search }, { onSuccess: () => setNaming(false) })}
          onLeave={() => setNaming(false)}
        />
      ) : (
        <Button size="sm" variant="outline-dark" onClick={() => setNaming(true)}>
          Keep this view
        </Button>
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

interface NameFormProps {
  isPending: boolean
  onName: (name: string) => void
  onLeave: () => void
}

function NameForm({ isPending, onName, onLeave }: NameFormProps) {
  const form = useForm({ defaultValues: { name: '' } })
  const name = form.watch('name').trim()
  const keep = form.handleSubmit(() => name !== '' && onName(name))
  return (
    <Form onSubmit={(event) => void keep(event)} className={css.keep}>
      <Form.Control
        autoFocus
        aria-label="Name of the view"
        placeholder="name of the view"
        maxLength={120}
        {...form.register('name')}
      />
      <Button size="sm" type="submit" disabled={name === '' || isPending}>
        Keep
      </Button>
      <Button size="sm" variant="outline-dark" onClick={onLeave}>
        Cancel
      </Button>
    </Form>
  )
}
