import { DEFERS_TO } from '@fleam/catalogue'
import type { Item, Style } from '@fleam/core/style'
import { settleStyle } from '@fleam/core/style'
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

/** More boxes than this are no card any more: the others are weighed together, with their number. */
const MAX_BOXES = 60
/** From here on the boxes are smaller, so that a batch stays on few pages. */
const MANY_BOXES = 16

function Card({ item, style }: { item: Item; style: Style }) {
  const kitchen = useKitchen()
  const cautions = useKitchenCautions({ itemId: item.id, styleId: style.id })
  const [search, setSearch] = useSearchParams()
  const units = Math.max(1, Number(search.get('units')) || 1)
  const { steps, piles } = settleStyle(style, {})
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
      <CardLines style={style} />
      <table>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Weights</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, index) => (
            <StepRow key={step.id} step={step} at={index} piles={piles} units={units} />
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

/** What is written at the head of a card. */
const CardLines = ({ style }: { style: Style }) => (
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
)

interface StepRowProps {
  step: ReturnType<typeof settleStyle>['steps'][number]
  at: number
  piles: ReturnType<typeof settleStyle>['piles']
  units: number
}

function StepRow({ step, at, piles, units }: StepRowProps) {
  const { words } = useFormat()
  return (
    <tr>
      <th scope="row" className={css.cardStep}>
        {at + 1}. {words(step.title)}
        {step.isOptional ? ' (optional)' : ''}
        <small>{words(step.check)}</small>
      </th>
      <td>
        {step.pileIds.map((id) => {
          const pile = piles.find((cutPile) => cutPile.id === id)
          if (!pile) return null
          const count = pile.weighing === 'pieces' ? Math.round((pile.portionsPerUnit ?? 1) * units) : 1
          return <Boxes key={id} name={pile.name} count={count} />
        })}
      </td>
    </tr>
  )
}

function Boxes({ name, count }: { name: string; count: number }) {
  return (
    <div>
      {name}
      {count > 1 ? ` (${count})` : ''}
      <div className={count > MANY_BOXES ? `${css.cardBoxes} ${css.many}` : css.cardBoxes}>
        {Array.from({ length: Math.min(count, MAX_BOXES) }, (_, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: boxes are alike and never change places
          <i key={index} className={count === 1 ? 'wide' : ''} />
        ))}
        {count > MAX_BOXES ? (
          <>
            the other {count - MAX_BOXES} together: <i className="wide" /> pieces, weight <i className="wide" />
          </>
        ) : null}
      </div>
    </div>
  )
}
