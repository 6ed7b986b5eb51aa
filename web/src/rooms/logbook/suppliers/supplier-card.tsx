import type { SupplierCard } from '@fleam/contract/supplier-card/schemas'
import { explainAgainst, explainMean, explainRecordsCost, trueCostPerKg } from '@fleam/core/logbook'
import Table from 'react-bootstrap/Table'
import { type Format, useFormat } from '../../../parts/use-format.ts'
import { MaybeOpened } from '../maybe-opened.tsx'
import { PricePath } from './price-path.tsx'
import css from './supplier-card.module.css'

interface SupplierCardProps {
  card: SupplierCard
  today: string
}

/** One supplier: what a kilo on the plate cost, what was short or faulty, and how prices went. */
export function SupplierCardFigure({ card, today }: SupplierCardProps) {
  const format = useFormat()
  const { id, name, yieldAgainstStyle: against, items, deliveries, prices } = card
  return (
    <section aria-labelledby={id} className={css.card}>
      <h2 id={id}>{name}</h2>
      <p>
        {against === null ? (
          'Nobody else brings the same cuts: there is nothing to compare with. '
        ) : (
          <>
            The same cuts give{' '}
            <MaybeOpened explanation={explainAgainst(against.mean)}>
              {`${format.number(Math.abs(against.mean) * 100, 1)} points`}
            </MaybeOpened>{' '}
            {against.mean < 0 ? 'less' : 'more'} than the others’ goods.{' '}
          </>
        )}
        <DeliveryWords deliveries={deliveries} format={format} />
      </p>
      {items.length > 0 ? <ItemTable items={items} format={format} /> : <p>Nothing of it was cut and counted.</p>}
      <PricePath prices={prices} today={today} />
    </section>
  )
}

function DeliveryWords({ deliveries, format }: { deliveries: SupplierCard['deliveries']; format: Format }) {
  const { count, short, shortWeight, faults, sentBack, claimed } = deliveries
  if (count === 0) return 'No delivery was weighed at the door.'
  const parts = [
    `${count} ${count === 1 ? 'delivery' : 'deliveries'}`,
    short > 0 ? `${short} short, ${format.weight(shortWeight)} in all` : 'none short',
    faults === 0 ? 'no fault found' : `${faults} ${faults === 1 ? 'fault' : 'faults'} found`,
    ...(sentBack > 0 ? [`${sentBack} sent back`] : []),
    claimed > 0 ? `${format.money(claimed)} to be claimed` : 'nothing to claim',
  ]
  return `${parts.join(', ')}.`
}

function ItemTable({ items, format }: { items: SupplierCard['items']; format: Format }) {
  return (
    <Table className="list-table">
      <thead>
        <tr>
          <th scope="col">What</th>
          {['Records', 'Bought', 'Portion yield', 'A kilo of portions cost', 'The others’'].map((head) => (
            <th key={head} scope="col" className="number">
              {head === 'A kilo of portions cost' ? `A ${format.perWeightUnit} of portions cost` : head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {items.map((row) => (
          <tr key={`${row.item} ${row.style}`}>
            <th scope="row">
              {row.itemName}: {row.styleName.toLowerCase()}
            </th>
            <td className="number">{row.records}</td>
            <td className="number">{format.weight(row.ap)}</td>
            <td className="number">
              {row.portionYield === null ? (
                '–'
              ) : (
                <MaybeOpened explanation={explainMean('Portion yield', row.portionYield, row.records, 'share')}>
                  {format.share(row.portionYield)}
                </MaybeOpened>
              )}
            </td>
            <td className="number">
              <TrueCost sums={row} title={`${row.itemName}: ${row.styleName}, portions`} format={format} />
            </td>
            <td className="number">
              <TrueCost sums={row.others} title={`${row.itemName}: ${row.styleName}, of the others`} format={format} />
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}

interface TrueCostProps {
  sums: SupplierCard['items'][number]['others']
  title: string
  format: Format
}

function TrueCost({ sums, title, format }: TrueCostProps) {
  const cost = trueCostPerKg(sums)
  if (cost === null) return '–'
  return <MaybeOpened explanation={explainRecordsCost(title, sums)}>{format.perWeightAmount(cost)}</MaybeOpened>
}
