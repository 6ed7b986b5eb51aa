import { explainOrder, type OrderLine, orderText, type PlanLines } from '@fleam/core'
import Papa from 'papaparse'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { useKitchen } from '../../data/kitchen-context.ts'
import { download } from '../../parts/data-table/csv.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { PinChoice } from './pin-choice.tsx'
import css from './plan.module.css'
import type { PartProps, Pinning } from './plan-parts.ts'

type Order = PlanLines['orders'][number]

/** What to order from whom, by day: to print, as a list, and as text to paste. */
export function Orders({ lines, basis, pinning }: PartProps) {
  const held = pinning?.pins.filter(({ kind, atMost }) => kind !== 'cut' && atMost === 0) ?? []
  const nameOf = (id: string) =>
    [...basis.goods.wholes, ...basis.goods.ready].find((each) => each.id === id)?.name ?? ''
  return (
    <section aria-labelledby="plan-orders">
      <div className={css.sectionHeading}>
        <h2 id="plan-orders">Orders</h2>
        {lines.orders.length > 0 ? (
          <>
            <Button variant="outline-dark" size="sm" onClick={() => window.print()}>
              Print
            </Button>
            <Button variant="outline-dark" size="sm" onClick={() => download('orders.csv', ordersCsv(lines.orders))}>
              CSV
            </Button>
          </>
        ) : null}
      </div>
      {lines.orders.length === 0 ? <p className="quiet">Nothing has to be ordered.</p> : null}
      <div className={css.orders}>
        {lines.orders.map((order) => (
          <OrderCard key={`${order.supplierId} ${order.day}`} order={order} pinning={pinning} />
        ))}
      </div>
      {held.length > 0 ? (
        <p>
          Held out:{' '}
          {held.map((pin) => (
            <Button
              key={pin.id}
              size="sm"
              variant="outline-dark"
              onClick={() => pinning?.setPin({ ...pin, atLeast: null, atMost: null })}
            >
              {nameOf(pin.id)}: let it in again
            </Button>
          ))}
        </p>
      ) : null}
    </section>
  )
}

function OrderCard({ order, pinning }: { order: Order; pinning: Pinning | null }) {
  const format = useFormat()
  const { name: kitchen } = useKitchen()
  const [isCopied, setCopied] = useState(false)
  const copy = () => {
    void navigator.clipboard.writeText(orderText(order, { kitchen, sayDay: dayWords })).then(() => setCopied(true))
  }
  return (
    <article className={css.order}>
      <h3>
        {order.supplier}, {dayWords(order.day)}
      </h3>
      <Table className="list-table">
        <tbody>
          {order.lines.map((line) => (
            <OrderRow key={line.articleId} line={line} pinning={pinning} />
          ))}
          {order.charge > 0 ? (
            <tr>
              <td />
              <td>delivery</td>
              <td className="number">{format.money(order.charge)}</td>
              <td />
            </tr>
          ) : null}
          <tr>
            <td />
            <th scope="row">in all</th>
            <td className="number">
              <OpenFigure explain={() => explainOrder(order)} format={format}>
                {format.money(order.money)}
              </OpenFigure>
            </td>
            <td />
          </tr>
        </tbody>
      </Table>
      <Button size="sm" variant="outline-dark" className="no-print" onClick={copy}>
        {isCopied ? 'Copied' : 'Copy as text'}
      </Button>
    </article>
  )
}

function OrderRow({ line, pinning }: { line: OrderLine; pinning: Pinning | null }) {
  const format = useFormat()
  return (
    <tr>
      <td className="number">{line.packs} ×</td>
      <th scope="row">
        {line.name}
        {line.kind === 'ready' ? (
          <span className="quiet"> ready, {format.quantity(line.units, 'count')} portions</span>
        ) : null}
      </th>
      <td className="number">{format.money(line.money)}</td>
      <td className="no-print">
        <PinChoice
          {...{ pinning, kind: line.kind, id: line.articleId, name: line.name, amount: line.packs, unit: 'packs' }}
        />
      </td>
    </tr>
  )
}

/** Every line of every order, with numbers as they are. */
export const ordersCsv = (orders: readonly Order[]): string =>
  Papa.unparse(
    orders.flatMap((order) =>
      order.lines.map(({ name, packs, units, price, money }) => ({
        supplier: order.supplier,
        day: order.day,
        article: name,
        packs,
        units,
        price,
        money,
      })),
    ),
    { escapeFormulae: true },
  )
