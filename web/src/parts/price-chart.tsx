import type { PricePoint } from '@fleam/core/buying'
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import { dayWords } from './dates.ts'
import css from './price-chart.module.css'

interface PriceChartProps {
  line: readonly PricePoint[]
  today: string
  /** Prices at which a verdict turns, with the style that it is the verdict of. */
  breakEvens: readonly { name: string; amount: number }[]
  currency: (amount: number) => string
}

/** A price through time as steps, with the prices at which verdicts turn. */
export default function PriceChart({ line, today, breakEvens, currency }: PriceChartProps) {
  const points = line.map((point) => ({ at: Date.parse(point.day), amount: point.amount }))
  const amounts = [...points.map((point) => point.amount), ...breakEvens.map((breakEven) => breakEven.amount)]
  const top = niceTop(Math.max(...amounts))
  const words = line.map((point) => `${point.day}: ${currency(point.amount)}`).join('; ')
  return (
    <figure className={css.priceChart} aria-label={`Price by day: ${words}`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 8, right: 24, bottom: 4, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={['dataMin', Date.parse(today)]}
            tickFormatter={(at: number) => monthWords(at)}
            stroke="var(--ink-soft)"
          />
          <YAxis
            domain={[0, top]}
            tickFormatter={(amount: number) => currency(amount)}
            width={72}
            stroke="var(--ink-soft)"
          />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(at) => dayWords(new Date(Number(at)).toISOString().slice(0, 10))}
            formatter={(amount) => [currency(Number(amount)), 'price']}
            contentStyle={{ background: 'var(--paper-raised)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
          />
          {breakEvens.map(({ name, amount }) => (
            <ReferenceLine
              key={name}
              y={amount}
              stroke="var(--oxblood-line)"
              strokeDasharray="6 4"
              label={{
                value: `${name}: even at ${currency(amount)}`,
                position: 'insideTopLeft',
                fill: 'var(--oxblood-line)',
                fontSize: 15,
                fontWeight: 600,
              }}
            />
          ))}
          <Line
            type="stepAfter"
            dataKey="amount"
            stroke="var(--ink)"
            strokeWidth={2.5}
            dot={{ r: 3, fill: 'var(--ink)' }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  )
}

/** The next round amount above a price, so that the marks beside the chart are round too. */
function niceTop(amount: number): number {
  const step = 10 ** Math.floor(Math.log10(Math.max(amount, 0.01))) / 2
  return Math.ceil((amount * 1.05) / step) * step
}

const monthWords = (at: number) =>
  new Intl.DateTimeFormat('en-GB', { month: 'short', year: '2-digit', timeZone: 'UTC' }).format(new Date(at))
