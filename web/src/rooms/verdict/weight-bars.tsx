import type { PortionControl } from '@fleam/core/portion-control'
import css from './weight-bars.module.css'

interface WeightBarsProps {
  control: PortionControl
  weight: (grams: number) => string
}

const WIDTH = 360
const HEIGHT = 110
const GROUND = 90

/** How many pieces weigh what; too light is drawn hollow, too heavy hatched, right full: never by hue alone. */
export function WeightBars({ control: { bars }, weight }: WeightBarsProps) {
  const most = Math.max(...bars.map((bar) => bar.count), 1)
  const width = WIDTH / bars.length
  const first = bars[0]
  const last = bars.at(-1)
  const words = bars
    .filter((bar) => bar.count > 0)
    .map((bar) => `${bar.count} of ${weight(bar.from)} to ${weight(bar.to)}, ${BOUND_WORDS[bar.bound]}`)
  return (
    <svg
      className={css.weightBars}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Pieces by weight: ${words.join('; ')}`}
    >
      <defs>
        <pattern id="too-heavy" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3" height="6" className={css.hatch} />
        </pattern>
      </defs>
      {bars.map((bar, index) => {
        const height = (bar.count / most) * (GROUND - 4)
        return (
          <rect
            key={bar.from}
            className={`${css.weightBar} ${css[bar.bound] ?? ''}`}
            x={index * width + 1}
            width={Math.max(1, width - 2)}
            y={GROUND - height}
            height={height}
          />
        )
      })}
      <line x1={0} x2={WIDTH} y1={GROUND} y2={GROUND} className={css.ground} />
      <text x={0} y={HEIGHT - 4}>
        {first ? weight(first.from) : ''}
      </text>
      <text x={WIDTH} y={HEIGHT - 4} textAnchor="end">
        {last ? weight(last.to) : ''}
      </text>
    </svg>
  )
}

const BOUND_WORDS = { below: 'too light', within: 'right', above: 'too heavy' } as const
