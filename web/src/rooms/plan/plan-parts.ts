import type { DraftPin, OrderPlan, PlanLines } from '@fleam/core/planning'
import type { PlanBasis } from './use-plan-run.ts'

/** Holds something of the plan; none where it cannot be changed any more. */
export interface Pinning {
  pins: readonly DraftPin[]
  setPin: (pin: DraftPin) => void
}

export interface DetailsProps {
  plan: OrderPlan
  basis: PlanBasis
  isWhole: boolean
}

export interface PartProps extends Omit<DetailsProps, 'isWhole'> {
  lines: PlanLines
  pinning: Pinning | null
}
