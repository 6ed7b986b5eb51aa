import {
  appraise,
  explain,
  explainParted,
  explainPartPrice,
  type PartedFigure,
  type PartedValue,
  partedValue,
  rankParted,
  type WholeForm,
} from '@fleam/core'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import figureCss from '../../parts/figure.module.css'
import { OpenFigure } from '../../parts/figure.tsx'
import { firstItem, ItemChoice, WithForms } from '../../parts/item-choice.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { quoteWords } from '../../parts/price-words.ts'
import { useFormat } from '../../parts/use-format.ts'
import buyingCss from './buying.module.css'

type Order = 'marginPerUnit' | 'marginPerHour'
const USUAL_MARGIN_PERCENT = 30

/** What something whole is worth parted, in every cut style and from every supplier. */
export function Component() {
  const { wagePerHour, currency } = useKitchen()
  const items = useItems().data
  const [chosen, setChosen] = useState<string | null>(null)
  const itemId = chosen ?? firstItem(items)
  const [units, setUnits] = useState<number | null>(6)
  const [percent, setPercent] = useState<number | null>(USUAL_MARGIN_PERCENT)
  const [order, setOrder] = useState<Order>('marginPerUnit')
  const request = {
    units: Math.max(1, units ?? 1),
    wagePerHour,
    currency,
    marginShare: Math.min(0.95, (percent ?? 0) / 100),
  }
  return (
    <BuyingRoom title="Whole or in parts">
      <div className="question">
        <ItemChoice itemId={itemId} onChoose={setChosen} />
        <NumberField label="Cut at once" value={units} onChange={setUnits} min={1} />
        <NumberField
          label="Target margin, %"
          value={percent}
          onChange={setPercent}
          max={95}
          hint="of the selling price, for a shop"
        />
        <Form.Group controlId="order">
          <Form.Label>Best first by</Form.Label>
          <Form.Select value={order} onChange={(event) => setOrder(event.target.value as Order)}>
            <option value="marginPerUnit">what each leaves over</option>
            <option value="marginPerHour">what an hour of work brings</option>
          </Form.Select>
        </Form.Group>
      </div>
      <WithForms itemId={itemId}>
        {(forms) => <PartedTable values={valuesOf(forms, request, order)} marginShare={request.marginShare} />}
      </WithForms>
    </BuyingRoom>
  )
}

function valuesOf(
  forms: readonly WholeForm[],
  request: Parameters<typeof partedValue>[1],
  order: Order,
): PartedValue[] {
  return rankParted(
    forms.flatMap((form) => partedValue(form, request) ?? []),
    order,
  )
}

function PartedTable({ values: all, marginShare }: { values: readonly PartedValue[]; marginShare: number }) {
  const format = useFormat()
  const [openId, setOpenId] = useState<string | null>(null)
  // A style of which nobody has said what its parts are worth would stand there as a loss.
  const values = all.filter((each) => each.worth > 0)
  const silent = [...new Set(all.filter((each) => each.worth <= 0).map((each) => each.form.style))]
  const open = values.find((each) => each.form.id === openId) ?? values[0]
  const figure = (value: PartedValue, name: PartedFigure, text: string) => (
    <OpenFigure explain={() => explainParted(value, name)} format={format}>
      {text}
    </OpenFigure>
  )
  return (
    <>
      {silent.length > 0 ? (
        <p className="quiet">
          Nothing tells what its parts are worth, so not ranked: {silent.join(', ')}. Say in the Guide, at the cut
          style, what its piles are worth.
        </p>
      ) : null}
      <Table className={buyingCss.ranking} responsive>
        <thead>
          <tr>
            <th scope="col">Cut style</th>
            <th scope="col">From</th>
            <th scope="col" className="number">
              Parts are worth
            </th>
            <th scope="col" className="number">
              Spent
            </th>
            <th scope="col" className="number">
              Left over
            </th>
            <th scope="col" className="number">
              Each
            </th>
            <th scope="col" className="number">
              Hours
            </th>
            <th scope="col" className="number">
              Left over an hour
            </th>
            <th scope="col">
              <span className="visually-hidden">Prices of its parts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {values.map((value, at) => (
            <tr key={value.form.id} className={at === 0 ? buyingCss.first : ''}>
              <th scope="row">{value.form.style}</th>
              <td>
                {value.form.article}
                <br />
                <span className="quiet">
                  {value.form.supplier} · {quoteWords(value.form.quote, format)} · {Math.round(value.units)} bought
                </span>
              </td>
              <td className="number">
                {figure(value, 'worth', format.money(value.worth))}
                <br />
                <span className={buyingCss.basis}>{worthWords(value)}</span>
              </td>
              <td className="number">
                <OpenFigure
                  explain={() => explain(value.document, appraise(value.document), { group: 'cost', figure: 'in' })}
                  format={format}
                >
                  {format.money(value.cost)}
                </OpenFigure>
              </td>
              <td className="number">{figure(value, 'margin', format.money(value.margin))}</td>
              <td className={`number ${buyingCss.cost}`}>
                {figure(value, 'marginPerUnit', format.money(value.marginPerUnit))}
              </td>
              <td className="number">{format.quantity(value.labourHours, 'count')}</td>
              <td className="number">
                {value.marginPerHour === null ? '–' : figure(value, 'marginPerHour', format.money(value.marginPerHour))}
              </td>
              <td>
                <button
                  type="button"
                  className={figureCss.figure}
                  aria-pressed={open?.form.id === value.form.id}
                  aria-label={`Prices of the parts of ${value.form.style}, ${value.form.article}`}
                  onClick={() => setOpenId(value.form.id)}
                >
                  parts
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {open ? <PartPrices value={open} marginShare={marginShare} /> : null}
    </>
  )
}

const ASSUMED_WORDS = {
  'price-book': 'assumed: as bought ready',
  'same-product': 'assumed: as in other styles',
  'same-kind': 'assumed: as its like in other styles',
} as const

/** Whether the kitchen said what the parts are worth, and what is missing. */
function worthWords({ parts, unvalued }: PartedValue): string {
  const assumed = parts.filter((part) => part.assumedFrom !== null).length
  const missing = unvalued.length > 0 ? `without ${unvalued.join(', ')}` : ''
  const words = [assumed > 0 ? `${assumed} of ${parts.length} assumed` : '', missing]
  return words.filter((each) => each !== '').join('; ')
}

/** For a shop: what each part must cost so that all of them reach the target margin. */
function PartPrices({ value, marginShare }: { value: PartedValue; marginShare: number }) {
  const format = useFormat()
  return (
    <section aria-labelledby="part-prices">
      <h2 id="part-prices">
        {value.form.style}, {value.form.article}: a price for each part
      </h2>
      <Table className="list-table" responsive>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col" className="number">
              Weight
            </th>
            <th scope="col" className="number">
              Worth a {format.perWeightUnit}
            </th>
            <th scope="col" className="number">
              Worth in all
            </th>
            <th scope="col" className="number">
              For {format.share(marginShare)}, a {format.perWeightUnit}
            </th>
          </tr>
        </thead>
        <tbody>
          {value.parts.map((part) => (
            <tr key={part.name}>
              <th scope="row">{part.name}</th>
              <td className="number">{format.weight(part.weight)}</td>
              <td className="number">
                {format.perWeightAmount(part.valuePerKg)}
                {part.assumedFrom ? (
                  <>
                    <br />
                    <span className={buyingCss.basis}>{ASSUMED_WORDS[part.assumedFrom]}</span>
                  </>
                ) : null}
              </td>
              <td className="number">{format.money(part.worth)}</td>
              <td className="number">
                {part.priceForMargin === null || part.valuePerKg <= 0 ? (
                  '–'
                ) : (
                  <OpenFigure explain={() => explainPartPrice(value, part, marginShare)} format={format}>
                    {format.perWeightAmount(part.priceForMargin)}
                  </OpenFigure>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  )
}
