import type { Item, StyleFile } from '@fleam/core/style'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { useCreateItem, useImportStyle, useTopUpFromCatalogue, useUpdateItem } from '../../data/style-queries.ts'
import { JsonFileButton } from '../../parts/json-file-button.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import css from './guide.module.css'
import { pricesLeftOut } from './prices-left-out.ts'
import { copyOfItem, ownName } from './style-draft.ts'

/** Items and cut styles of the kitchen: what is cut here, and how. */
export function Component() {
  const items = useItems()
  if (items.data) return <GuideRoom items={items.data} />
  if (items.isError) return <Failed error={items.error} retry={() => void items.refetch()} />
  return <Loading what="the guide" />
}

function GuideRoom({ items }: { items: Item[] }) {
  const navigate = useNavigate()
  const { currency } = useKitchen()
  const importing = useImportStyle()
  const topUp = useTopUpFromCatalogue()
  const [showsArchived, setShowsArchived] = useState(false)
  const archived = items.some((item) => item.isArchived || item.styles.some((style) => style.isArchived))
  const shown = items.filter((item) => showsArchived || !item.isArchived)
  return (
    <div className="room guide">
      <div className="room-heading">
        <h1>Guide</h1>
        <Link to="/guide/cautions" className="btn btn-outline-dark">
          Cautions
        </Link>
        <JsonFileButton
          words="Import a style"
          what="Cut style"
          isPending={importing.isPending}
          error={importing.error}
          onRead={(file) =>
            importing.mutate(
              { id: newId(), file: file as StyleFile },
              {
                onSuccess: (style) =>
                  navigate(`/guide/${style.id}`, { state: { said: pricesLeftOut(file as StyleFile, currency) } }),
              },
            )
          }
        />
        <Button variant="outline-dark" disabled={topUp.isPending} onClick={() => topUp.mutate(undefined)}>
          Add what the catalogue has
        </Button>
      </div>
      {topUp.isError ? <Failed error={topUp.error} /> : null}
      {archived ? (
        <Form.Check
          type="switch"
          id="shows-archived"
          label="Show what is archived"
          checked={showsArchived}
          onChange={(event) => setShowsArchived(event.target.checked)}
        />
      ) : null}
      <ul className={css.guideItems}>
        {shown.map((item) => (
          <ItemEntry key={item.id} item={item} items={items} showsArchived={showsArchived} />
        ))}
      </ul>
    </div>
  )
}

interface ItemEntryProps {
  item: Item
  items: readonly Item[]
  showsArchived: boolean
}

function ItemEntry({ item, items, showsArchived }: ItemEntryProps) {
  const format = useFormat()
  const add = useCreateItem()
  const change = useUpdateItem()
  const { unitWeight } = item
  const styles = item.styles.filter((style) => showsArchived || !style.isArchived)
  const setArchived = (isArchived: boolean) => {
    const { id, styles: _styles, ...edit } = item
    change.mutate({ id, edit: { ...edit, isArchived } })
  }
  return (
    <li className={item.isArchived ? css.archived : ''}>
      <div>
        <h2>{item.name}</h2>
        <p className="quiet">
          {format.weight(unitWeight.low)} to {format.weight(unitWeight.high)} a {item.unitName.one}
          {item.isArchived ? ' · archived' : ''}
        </p>
      </div>
      <ul>
        {styles.map((style) => (
          <li key={style.id}>
            <Link to={`/guide/${style.id}`}>{style.name}</Link>
            <span className="quiet">
              {' '}
              {style.minutesPerUnit} min, {style.steps.length} steps
              {style.isArchived ? ' · archived' : ''}
            </span>
          </li>
        ))}
      </ul>
      <div className={css.guideActions}>
        <Button
          size="sm"
          variant="outline-dark"
          aria-label={`Copy ${item.name}`}
          disabled={add.isPending}
          onClick={() => add.mutate(copyOfItem(item, newId, ownName(item.name, items)))}
        >
          Copy
        </Button>
        <Button
          size="sm"
          variant="outline-dark"
          aria-label={`${item.isArchived ? 'Use again' : 'Archive'} ${item.name}`}
          disabled={change.isPending}
          onClick={() => setArchived(!item.isArchived)}
        >
          {item.isArchived ? 'Use again' : 'Archive'}
        </Button>
      </div>
      {add.isError || change.isError ? <Failed error={add.error ?? change.error} /> : null}
    </li>
  )
}
