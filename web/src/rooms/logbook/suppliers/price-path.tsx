import type { SupplierCard } from '@fleam/contract/supplier-card/schemas'
import { lazy, Suspense } from 'react'
import { dateWords } from '../../../parts/dates.ts'
import { useFormat } from '../../../parts/use-format.ts'
import css from './supplier-card.module.css'

/** Drawing takes a large package: loaded where there is something to draw. */
const PriceChart = lazy(() => import('../../../parts/price-chart.tsx'))

type Prices = SupplierCard['prices']

/** How each price went, with its first and its last amount, and as steps through time. */
export function PricePath({ prices, today }: { prices: Prices; today: string }) {
  const format = useFormat()
  if (prices.length === 0) return null
  return (
    <ul className={css.prices} aria-label="Prices">
      {prices.map((price) => {
        const [first, last] = [price.points[0], price.points.at(-1)]
        if (!first || !last) return null
        const change = first.amount > 0 ? last.amount / first.amount - 1 : 0
        return (
          <li key={price.article}>
            <strong>{price.name}</strong>: {format.money(last.amount)} a {price.per} since {dateWords(last.from)}
            {price.points.length > 1
              ? `, ${format.money(first.amount)} on ${dateWords(first.from)}: ${change < 0 ? '−' : '+'}${format.number(Math.abs(change) * 100, 1)} %.`
              : '.'}
            {price.points.length > 1 ? (
              <Suspense fallback={null}>
                <PriceChart
                  line={price.points.map(({ from, amount }) => ({ day: from, amount }))}
                  today={today}
                  breakEvens={[]}
                  currency={format.money}
                />
              </Suspense>
            ) : null}
          </li>
        )
      })}
    </ul>
  )
}
