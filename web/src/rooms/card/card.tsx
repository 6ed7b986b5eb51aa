import { DEFERS_TO } from '@fleam/catalogue'
import type { Item, Style } from '@fleam/contract'
import { settleStyle } from '@fleam/core'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useSearchParams } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { useFormat } from '../../parts/use-format.ts'
import { WithStyle } from '../../parts/with-style.tsx'
import css from './card.module.css'

/** A blank weighing card: one page, steps in their order, a box for every weight. */
export const Component = () => <WithStyle>{(item, style) => <Card item={item} style={style} />}</WithStyle>

/** More boxes than this do not help on one page: a line to write on does. */
const MAX_BOXES = 16

function Card({ item, style }: { item: Item; style: Style }) {
  const kitchen = useKitchen()
  const cautions = useKitchenCautions({ itemId: item.id, styleId: style.id })
  const { words } = useFormat()
  const [search, setSearch] = useSearchParams()
  const units = Math.max(1, Number(search.get('units')) || 1)
  const { steps, piles } = settleStyle(style, {})
  const pileOf = (id: string) => piles.find((pile) => pile.id === id)
  return (
    <article className={`room ${css.cardSheet}`}>
      <header>
        <h1>
          {item.name}: {style.name.toLowerCase()}
        </h1>
        <div className="no-print">
          <Form.Label htmlFor="card-units" visuallyHidden>
            How many {item.unitName.many}
          </Form.Label>
          <Form.Control
            id="card-units"
            type="number"
            min={1}
            value={units}
            onChange={(event) => setSearch({ units: event.target.value }, { replace: true, preventScrollReset: true })}
          />
          <Button onClick={() => window.print()}>Print</Button>
        </div>
      </header>
      <p>
        {kitchen.name} · {units} {units === 1 ? item.unitName.one : item.unitName.many} · weights in{' '}
        {kitchen.units === 'metric' ? 'grams' : 'pounds and ounces'}
      </p>
      <div className={css.cardLines}>
        {[
          'Date',
          'Cook',
          'Supplier',
          'Lot',
          'Invoice weight',
          'Received',
          // Where draining is a step, its liquid stands there.
          ...(style.piles.some((pile) => pile.kind === 'liquid') ? [] : ['Liquid drained']),
          'Price',
          'Began / ended',
        ].map((line) => (
          <span key={line}>{line}</span>
        ))}
      </div>
      <table>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Weights</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, at) => (
            <tr key={step.id}>
              <th scope="row" className={css.cardStep}>
                {at + 1}. {words(step.title)}
                {step.isOptional ? ' (optional)' : ''}
                <small>{words(step.check)}</small>
              </th>
              <td>
                {step.pileIds.map((id) => {
                  const pile = pileOf(id)
                  if (!pile) return null
                  const count = pile.weighing === 'pieces' ? Math.round((pile.portionsPerUnit ?? 1) * units) : 1
                  return <Boxes key={id} name={pile.name} count={count} />
                })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        <small>
          {cautions
            .at(item.species, 'board')
            .map((caution) => caution.text)
            .join(' ')}{' '}
          {DEFERS_TO}
        </small>
      </p>
    </article>
  )
}

function Boxes({ name, count }: { name: string; count: number }) {
  return (
    <div>
      {name}
      {count > 1 ? ` (${count})` : ''}
      <div className={css.cardBoxes}>
        {Array.from({ length: Math.min(count, MAX_BOXES) }, (_, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: boxes are alike and never change places
          <i key={at} className={count === 1 ? 'wide' : ''} />
        ))}
      </div>
    </div>
  )
}
