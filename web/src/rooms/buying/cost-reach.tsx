import type { TrueCost } from '@fleam/core/buying'
import css from './cost-reach.module.css'

const WIDTH = 180
const HEIGHT = 22
const MARK = 3

/** A cost on a common scale from nothing to the dearest, with how far it can be off. */
export function CostReach({ cost, dearest }: { cost: TrueCost; dearest: number }) {
  const x = (amount: number) => (dearest > 0 ? (Math.max(0, amount) / dearest) * (WIDTH - MARK) : 0)
  const from = x(cost.costPerPlate - cost.halfWidth)
  const to = x(cost.costPerPlate + cost.halfWidth)
  return (
    <svg className={css.costReach} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <line className={css.base} x1={0} x2={WIDTH} y1={HEIGHT - 1} y2={HEIGHT - 1} />
      <rect className={css.reach} x={from} y={5} width={Math.max(0, to - from) + MARK} height={12} />
      <rect className={css.at} x={x(cost.costPerPlate)} y={2} width={MARK} height={18} />
    </svg>
  )
}
