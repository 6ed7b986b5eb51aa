export type { PlanAim } from './aims.ts'
export { PLAN_AIMS } from './aims.ts'
export { countedYield } from './counted-yield.ts'
export type {
  AskedOf,
  AskedPlan,
  ChangeableField,
  ChangeableKind,
  CuttingLine,
  DraftPin,
  GoodsCook,
  GoodsCut,
  GoodsProduct,
  GoodsReady,
  GoodsSource,
  GoodsStock,
  GoodsSupplier,
  GoodsWay,
  GoodsWhole,
  GoodsYield,
  KitchenGoods,
  Known,
  OrderLine,
  OrderOf,
  PlanChange,
  PlanCostPart,
  PlanDraft,
  PlanGoods,
  PlanLines,
  PlannedWork,
  PlanTotals,
  WantedProduct,
} from './kitchen/index.ts'
export {
  CHANGEABLE,
  comesOn,
  daysOf,
  demandOf,
  draftLater,
  explainCutMinutes,
  explainCutPortion,
  explainLeft,
  explainOrder,
  explainPlanCost,
  explainPlanTotal,
  explainReadyPortion,
  explainSaved,
  hoursOn,
  kitchenGoods,
  PLAN_COST_PARTS,
  planLines,
  plannedWork,
  planRequest,
  planTotals,
  rateOf,
  saidIn,
  valueIn,
} from './kitchen/index.ts'
export { limitName } from './limits.ts'
export { modelOf as orderPlanModel } from './model/index.ts'
export type {
  OrderPlan,
  OrderPlanRequest,
  PlanCost,
  PlanCut,
  PlanDemand,
  PlanLimit,
  PlanPin,
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
export { planFor, planOrders } from './plan-orders.ts'
export type { ProgrammeProgress, SolveMixed } from './programme.ts'
export { Programme, solveMixedWith } from './programme.ts'
export { solvePlan as solveOrderPlan } from './solve-plan.ts'
