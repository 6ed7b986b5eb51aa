import type { Forecast } from '@fleam/core/forecasting'
import { Bar, BarChart, Cell, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import css from './forecast.module.css'

interface ForecastChartProps {
  forecast: Forecast
  money: (amount: number) => string
}

/** How the savings of all draws are spread: those that are cheaper bought are hatched by their outline. */
export default function ForecastChart({ forecast: { histogram, low, high, mean, draws }, money }: ForecastChartProps) {
  const bars = histogram.map(({ from, to, count }) => ({ at: (from + to) / 2, share: (count / draws) * 100 }))
  return (
    <figure
      className={css.forecastChart}
      aria-label={`Savings a portion: ${money(mean)} on average, nine of ten between ${money(low)} and ${money(high)}`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <BarChart
          data={bars}
          margin={{ top: 8, right: 8, bottom: 4, left: 8 }}
          accessibilityLayer={false}
          barCategoryGap={1}
        >
          <XAxis
            dataKey="at"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(at: number) => money(at)}
            stroke="var(--ink-soft)"
          />
          <YAxis hide />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(at) => money(Number(at))}
            formatter={(share) => [`${Number(share).toFixed(1)} %`, 'of all draws']}
            contentStyle={{ background: 'var(--paper-raised)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
          />
          <ReferenceLine
            x={0}
            stroke="var(--ink)"
            label={{ value: 'even', position: 'insideTopLeft', fill: 'var(--ink)', fontSize: 14 }}
          />
          <Bar dataKey="share" isAnimationActive={false}>
            {bars.map(({ at }) => (
              <Cell
                key={at}
                fill={at < 0 ? 'transparent' : 'var(--green)'}
                stroke={at < 0 ? 'var(--oxblood-line)' : 'var(--green)'}
              />
            ))}
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </figure>
  )
}
