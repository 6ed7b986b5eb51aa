import type { LogbookCurve } from '@fleam/contract/logbook/findings'
import { useNavigate } from 'react-router-dom'
import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, Tooltip, XAxis, YAxis } from 'recharts'
import css from './logbook.module.css'

interface LearningLinesProps {
  points: LogbookCurve['yields']
  what: string
  words: (value: number) => string
}

/** Each record as a point at its repetition, over the fitted curve and its band. A point leads to its record. */
export default function LearningLines({ points, what, words }: LearningLinesProps) {
  const navigate = useNavigate()
  const data = points.map(({ low, high, ...point }) => ({ ...point, band: low === null ? null : [low, high] }))
  const pointWords = points.map(({ repetition, value }) => `${repetition}: ${words(value)}`).join('; ')
  return (
    <figure className={css.chart} aria-label={`${what} by how many were cut: ${pointWords}`}>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 8, right: 24, bottom: 4, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="repetition" type="number" domain={[0, 'dataMax']} stroke="var(--ink-soft)" />
          <YAxis domain={['auto', 'auto']} tickFormatter={words} width={76} stroke="var(--ink-soft)" />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(at) => `${Number(at)} cut`}
            formatter={(value) => [
              Array.isArray(value) ? value.map(Number).map(words).join(' to ') : words(Number(value)),
            ]}
            contentStyle={{ background: 'var(--paper-raised)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
          />
          <Area
            dataKey="band"
            name="band"
            stroke="none"
            fill="var(--beam-mark)"
            fillOpacity={0.2}
            isAnimationActive={false}
          />
          <Line
            dataKey="fit"
            name="curve"
            stroke="var(--ink)"
            strokeDasharray="6 4"
            dot={false}
            isAnimationActive={false}
          />
          <Scatter
            dataKey="value"
            name={what}
            fill="var(--ink)"
            cursor="pointer"
            isAnimationActive={false}
            onClick={(point: { payload?: { id?: string } }) => void navigate(`/verdict/${point.payload?.id}`)}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  )
}
