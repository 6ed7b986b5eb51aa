import type { Day } from '@fleam/core/calendar'
import { explainOrder, type OrderLine, type PlanLines } from '@fleam/core/planning'
import { orderText } from '@fleam/core/wording'
import Papa from 'papaparse'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Dropdown from 'react-bootstrap/Dropdown'
import { useKitchen } from '../../data/kitchen-context.ts'
import { download } from '../../parts/data-table/csv.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { SmallTable } from '../../parts/small-table.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { LeftOut } from './left-out.tsx'
import { PinChoice } from './pin-choice.tsx'
import css from './plan.module.css'
import type { PartProps, Pinning } from './plan-parts.ts'

type Order = PlanLines['orders'][number]

/** What to order from whom, by day: to print, as a list, and as text to paste. */
export function Orders({ lines, basis, pinning }: PartProps) {
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
      <LeftOut pinning={pinning} kinds={['whole', 'ready', 'supplier']} goods={basis.goods} />
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
      <div className={css.sectionHeading}>
        <h3>
          {order.supplier}, {dayWords(order.day)}
        </h3>
        {pinning ? <ChangeOrder order={order} setPin={pinning.setPin} /> : null}
      </div>
      <SmallTable>
        {order.lines.map((line) => (
          <OrderRow key={line.articleId} line={line} day={order.day} pinning={pinning} />
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
      </SmallTable>
      <Button size="sm" variant="outline-dark" className="no-print" onClick={copy}>
        {isCopied ? 'Copied' : 'Copy as text'}
      </Button>
    </article>
  )
}

/** The whole order on another day, or with somebody else. */
function ChangeOrder({ order, setPin }: { order: Order; setPin: Pinning['setPin'] }) {
  const leaveOut = (day: Day | null) =>
    setPin({ kind: 'supplier', id: order.supplierId, day, atLeast: null, atMost: 0 })
  return (
    <Dropdown>
      <Dropdown.Toggle
        size="sm"
        variant="outline-dark"
        aria-label={`Change the order from ${order.supplier} on ${dayWords(order.day)}`}
      >
        Change
      </Dropdown.Toggle>
      <Dropdown.Menu>
        <Dropdown.Item onClick={() => leaveOut(order.day)}>Another day than {dayWords(order.day)}</Dropdown.Item>
        <Dropdown.Item onClick={() => leaveOut(null)}>Another supplier</Dropdown.Item>
      </Dropdown.Menu>
    </Dropdown>
  )
}

function OrderRow({ line, day, pinning }: { line: OrderLine; day: Day; pinning: Pinning | null }) {
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
          {...{ pinning, day, kind: line.kind, id: line.articleId, name: line.name, amount: line.packs, unit: 'packs' }}
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
