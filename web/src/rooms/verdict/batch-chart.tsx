import type { BatchCurve } from '@fleam/core/forecasting'
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import css from './forecast.module.css'

interface BatchChartProps {
  curve: BatchCurve
  /** The record's own batch. */
  units: number
  money: (amount: number) => string
}

/** A portion made and bought, by how many are cut at once. */
export default function BatchChart({ curve: { points }, units, money }: BatchChartProps) {
  const words = points.map((point) => `${point.units}: ${money(point.costPerPortion)}`).join('; ')
  return (
    <figure className={css.forecastChart} aria-label={`Cost of a portion by batch: ${words}`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 8, right: 16, bottom: 4, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="units" type="number" domain={[1, 'dataMax']} allowDecimals={false} stroke="var(--ink-soft)" />
          <YAxis
            tickFormatter={(amount: number) => money(amount)}
            width={64}
            stroke="var(--ink-soft)"
            domain={[0, 'auto']}
          />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(count) => `${count} at once`}
            formatter={(amount, name) => [money(Number(amount)), name]}
            contentStyle={{ background: 'var(--paper-raised)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
          />
          <Legend />
          <ReferenceLine
            x={units}
            stroke="var(--line)"
            label={{ value: 'this record', position: 'insideTopRight', fill: 'var(--ink-soft)', fontSize: 13 }}
          />
          <Line
            name="making"
            dataKey="costPerPortion"
            stroke="var(--ink)"
            strokeWidth={2.5}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            name="buying"
            dataKey="buyPerPortion"
            stroke="var(--oxblood-line)"
            strokeDasharray="6 4"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  )
}
