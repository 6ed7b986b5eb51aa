import { type AskedOf, daysOf, demandOf, type PlanDraft, type PlanGoods } from '@fleam/core/planning'
import { type ChangeEvent, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { useProducts } from '../../data/buying-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { SearchChoice } from '../../parts/search-choice.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { type DemandRead, readDemand } from './demand-csv.ts'
import css from './plan.module.css'

interface DemandTableProps {
  draft: PlanDraft
  goods: PlanGoods
  change: (part: Partial<PlanDraft>) => void
}

/** Who eats what: covers of each day, the share of them that takes each product, and portions said instead. */
export function DemandTable({ draft, goods, change }: DemandTableProps) {
  const days = daysOf(draft)
  const asked = demandOf(draft)
  const coversOf = (day: string) => draft.covers.find((cover) => cover.day === day)?.covers ?? null
  const setCovers = (day: string, covers: number | null) => {
    const others = draft.covers.filter((cover) => cover.day !== day)
    change({ covers: covers === null ? others : [...others, { day, covers: Math.round(covers) }] })
  }
  return (
    <section aria-labelledby="plan-demand" className="no-print">
      <h2 id="plan-demand">Who eats what</h2>
      <div className="table-responsive">
        <Table className={`list-table ${css.demand}`}>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">Share of the menu</th>
              {days.map((day) => (
                <th key={day} scope="col" className="number">
                  {dayWords(day)}
                </th>
              ))}
              <th scope="col">
                <span className="visually-hidden">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">Covers</th>
              <td />
              {days.map((day) => (
                <td key={day}>
                  <NumberField
                    label={`Covers on ${dayWords(day)}`}
                    isLabelHidden
                    value={coversOf(day)}
                    max={100_000}
                    onChange={(covers, isValid) => {
                      if (isValid) setCovers(day, covers)
                    }}
                  />
                </td>
              ))}
              <td />
            </tr>
            {draft.menu.map(({ productId }) => (
              <ProductRow
                key={productId}
                {...{ draft, change, productId }}
                name={goods.products.find(({ id }) => id === productId)?.name ?? '…'}
                asked={asked.filter((request) => request.productId === productId)}
              />
            ))}
          </tbody>
        </Table>
      </div>
      <DemandTools draft={draft} days={days} change={change} />
    </section>
  )
}

interface ProductRowProps extends Omit<DemandTableProps, 'goods'> {
  productId: string
  name: string
  asked: readonly AskedOf[]
}

function ProductRow({ draft, change, productId, name, asked }: ProductRowProps) {
  const format = useFormat()
  const share = draft.menu.find((dish) => dish.productId === productId)?.share ?? 0
  const setShare = (percent: number | null) =>
    change({
      menu: draft.menu.map((dish) => (dish.productId === productId ? { ...dish, share: (percent ?? 0) / 100 } : dish)),
    })
  const setPortions = (day: string, quantity: number | null) => {
    const others = draft.portions.filter((portion) => portion.productId !== productId || portion.day !== day)
    change({ portions: quantity === null ? others : [...others, { productId, day, quantity }] })
  }
  const remove = () =>
    change({
      menu: draft.menu.filter((dish) => dish.productId !== productId),
      portions: draft.portions.filter((portion) => portion.productId !== productId),
      stock: draft.stock.filter((line) => line.productId !== productId),
    })
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        <NumberField
          label={`Share of ${name}, per cent`}
          isLabelHidden
          value={Math.round(share * 1000) / 10}
          max={100}
          hint="%"
          onChange={(percent, isValid) => {
            if (isValid) setShare(percent)
          }}
        />
      </td>
      {asked.map(({ day, quantity, isSaid }) => (
        <td key={day}>
          <NumberField
            label={`Portions of ${name} on ${dayWords(day)}`}
            isLabelHidden
            value={isSaid ? quantity : null}
            hint={isSaid ? '' : quantity === 0 ? '' : format.quantity(quantity, 'count')}
            onChange={(portions, isValid) => {
              if (isValid) setPortions(day, portions)
            }}
          />
        </td>
      ))}
      <td>
        <Button size="sm" variant="outline-dark" onClick={remove} aria-label={`Take ${name} off the menu`}>
          Remove
        </Button>
      </td>
    </tr>
  )
}

/** Adds products, and takes demand in from a list. */
function DemandTools({ draft, days, change }: Omit<DemandTableProps, 'goods'> & { days: readonly string[] }) {
  const products = useProducts()
  const input = useRef<HTMLInputElement>(null)
  const [read, setRead] = useState<DemandRead | null>(null)
  const choices = (products.data ?? []).filter(({ id }) => !draft.menu.some(({ productId }) => productId === id))
  const take = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (!file) return
    const next = readDemand(await file.text(), products.data ?? [], days)
    setRead(next)
    if (next.issues.length > 0) return
    const ids = new Set(draft.menu.map(({ productId }) => productId))
    const added = [...new Set(next.lines.map(({ productId }) => productId))].filter((id) => !ids.has(id))
    const others = draft.portions.filter(
      ({ productId, day }) => !next.lines.some((line) => line.productId === productId && line.day === day),
    )
    change({
      menu: [...draft.menu, ...added.map((productId) => ({ productId, share: 0 }))],
      portions: [...others, ...next.lines],
    })
  }
  return (
    <>
      <div className={css.tools}>
        <SearchChoice
          label="Add to the menu"
          choices={choices.map(({ id, name }) => ({ id, name }))}
          value={null}
          placeholder="a product …"
          onChoose={(productId) => change({ menu: [...draft.menu, { productId, share: 0.2 }] })}
        />
        <input ref={input} type="file" accept=".csv,text/csv" hidden onChange={(event) => void take(event)} />
        <Button variant="outline-dark" onClick={() => input.current?.click()}>
          Portions from a CSV file
        </Button>
        <span className="quiet">three columns: product, day, portions</span>
      </div>
      {read && read.issues.length > 0 ? (
        <div className="refusal" role="alert">
          <p>Nothing was taken from the file:</p>
          <ul>
            {read.issues.slice(0, 10).map(({ row, column, words }) => (
              <li key={`${row} ${column}`}>
                Row {row}, {column}: {words}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {read && read.issues.length === 0 ? (
        <p role="status">{read.lines.length} portions were taken from the file.</p>
      ) : null}
    </>
  )
}
