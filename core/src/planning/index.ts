export { countedYield } from './counted-yield.ts'
export { modelOf as orderPlanModel } from './model/index.ts'
export type {
  OrderPlan,
  OrderPlanRequest,
  PlanCost,
  PlanCut,
  PlanDemand,
  PlanLimit,
  PlanProduct,
  PlanReady,
  PlanService,
  PlanStock,
  PlanSupplier,
  PlanWhole,
  PlanYield,
  UseSource,
  WholeSource,
} from './order-plan.ts'
export type { PlanOptions } from './plan-orders.ts'
export { planOrders } from './plan-orders.ts'
export type { Programme, ProgrammeProgress, SolveMixed } from './programme.ts'
export { solveMixedWith } from './programme.ts'
export { solvePlan as solveOrderPlan } from './solve-plan.ts'
