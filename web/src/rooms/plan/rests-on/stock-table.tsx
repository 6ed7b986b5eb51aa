import { addDays } from '@fleam/core/calendar'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router-dom'
import { dayWords } from '../../../parts/dates.ts'
import { DayField } from '../../../parts/day-field.tsx'
import { NumberField } from '../../../parts/number-field.tsx'
import { SmallTable } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import css from '../plan.module.css'
import type { RestsOnProps } from './value-cell.tsx'

/** What is there before the plan: lots that may be cut or left alone, and portions that somebody says. */
export function StockTable({ state, goods }: RestsOnProps) {
  const format = useFormat()
  const { draft, change } = state
  const wholeOf = (id: string) => goods.wholes.find((whole) => whole.id === id)
  const setLeft = (lotId: string, isCut: boolean) => {
    const others = draft.lotsLeft.filter((other) => other !== lotId)
    change({ lotsLeft: isCut ? others : [...others, lotId] })
  }
  return (
    <>
      {goods.stock.length === 0 ? <p className="quiet">No lot in the cold is of what is on the menu.</p> : null}
      {goods.stock.length > 0 ? (
        <SmallTable>
          {goods.stock.map(({ lotId, code, wholeId, units, held, useBy }) => (
            <tr key={lotId}>
              <td>
                <Form.Check
                  id={`lot-${lotId}`}
                  label={`cut from it`}
                  checked={!draft.lotsLeft.includes(lotId)}
                  onChange={(event) => setLeft(lotId, event.target.checked)}
                />
              </td>
              <th scope="row">
                <Link to={`/buying/lots/${lotId}`}>{code ?? 'no number'}</Link>
              </th>
              <td>
                {format.quantity(units, 'count')} of {wholeOf(wholeId)?.name}
                {held > 0 ? (
                  <span className="quiet">, {format.quantity(held, 'count')} more are cut by accepted plans</span>
                ) : null}
              </td>
              <td>until {dayWords(useBy)}</td>
            </tr>
          ))}
        </SmallTable>
      ) : null}
      <Portions state={state} goods={goods} />
    </>
  )
}

/** Portions in the cold, typed: until packs are kept they are not known. */
function Portions({ state, goods }: RestsOnProps) {
  const { draft, change } = state
  const products = goods.products.filter(({ id }) => draft.menu.some(({ productId }) => productId === id))
  const [added, setAdded] = useState({ productId: '', quantity: null as number | null, useBy: addDays(draft.from, 1) })
  const productId = products.some(({ id }) => id === added.productId) ? added.productId : (products[0]?.id ?? '')
  const nameOf = (id: string) => goods.products.find((product) => product.id === id)?.name ?? ''
  if (products.length === 0) return null
  return (
    <>
      {draft.stock.length > 0 ? (
        <ul>
          {draft.stock.map((line, index) => (
            <li key={`${line.productId} ${line.useBy} ${line.quantity}`}>
              {line.quantity} of {nameOf(line.productId)}, until {dayWords(line.useBy)}{' '}
              <Button
                size="sm"
                variant="outline-dark"
                aria-label={`Remove ${nameOf(line.productId)} until ${dayWords(line.useBy)}`}
                onClick={() => change({ stock: draft.stock.filter((_, place) => place !== index) })}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
      <div className={css.tools}>
        <Form.Group controlId="stock-product">
          <Form.Label>Portions there already</Form.Label>
          <Form.Select value={productId} onChange={(event) => setAdded({ ...added, productId: event.target.value })}>
            {products.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <NumberField
          label="How many"
          value={added.quantity}
          onChange={(quantity, isValid) => {
            if (isValid) setAdded({ ...added, quantity })
          }}
        />
        <DayField label="Last day" value={added.useBy} onChange={(useBy) => useBy && setAdded({ ...added, useBy })} />
        <Button
          variant="outline-dark"
          disabled={!added.quantity}
          onClick={() => {
            change({ stock: [...draft.stock, { productId, quantity: added.quantity ?? 0, useBy: added.useBy }] })
            setAdded({ ...added, quantity: null })
          }}
        >
          Add
        </Button>
      </div>
    </>
  )
}
