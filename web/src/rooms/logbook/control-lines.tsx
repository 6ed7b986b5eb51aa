import type { ChartLimits } from '@fleam/core/logbook'
import { useNavigate } from 'react-router-dom'
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import { dayWords } from '../../parts/dates.ts'
import { useFormat } from '../../parts/use-format.ts'
import css from './logbook.module.css'

interface ControlLinesProps {
  points: readonly { id: string; day: string; value: number }[]
  limits: readonly ChartLimits[]
}

/** Each record as a point that leads to it, with the middle and the limits of its stretch. */
export default function ControlLines({ points, limits }: ControlLinesProps) {
  const format = useFormat()
  const navigate = useNavigate()
  const data = points.map(({ id, day, value }, index) => ({ at: index, id, day, value }))
  const words = points.map(({ day, value }) => `${day}: ${format.share(value)}`).join('; ')
  const all = [...points.map(({ value }) => value), ...limits.flatMap(({ low, high }) => [low, high])]
  const [bottom, top] = [Math.min(...all), Math.max(...all)]
  const room = (top - bottom) * 0.08 || 0.01
  return (
    <figure className={css.chart} aria-label={`Portion yield by day: ${words}`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 24, bottom: 4, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[0, points.length - 1]}
            allowDecimals={false}
            tickFormatter={(at: number) => (points[at] ? dayWords(points[at].day) : '')}
            stroke="var(--ink-soft)"
          />
          <YAxis
            domain={[bottom - room, top + room]}
            tickFormatter={(value: number) => format.share(value)}
            width={76}
            stroke="var(--ink-soft)"
          />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(at) => dayWords(points[Number(at)]?.day ?? '')}
            formatter={(value) => [format.share(Number(value)), 'portion yield']}
            contentStyle={{ background: 'var(--paper-raised)', border: '1px solid var(--ink)', color: 'var(--ink)' }}
          />
          {limits.flatMap(({ from, to, low, centre, high }) =>
            [low, centre, high].map((y) => (
              <ReferenceLine
                key={`${from} ${y}`}
                segment={[
                  { x: from, y },
                  { x: to, y },
                ]}
                stroke="var(--ink-soft)"
                {...(y === centre ? {} : { strokeDasharray: '6 4' })}
              />
            )),
          )}
          <Line
            dataKey="value"
            stroke="var(--ink)"
            strokeWidth={1.5}
            dot={{ r: 3, fill: 'var(--ink)' }}
            activeDot={{
              r: 6,
              cursor: 'pointer',
              onClick: (_event: unknown, dot: unknown) => {
                const { payload } = dot as { payload?: { id: string } }
                if (payload) void navigate(`/verdict/${payload.id}`)
              },
            }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  )
}
