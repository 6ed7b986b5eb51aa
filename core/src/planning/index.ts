export type { PlanAim } from './aims.ts'
export { PLAN_AIMS } from './aims.ts'
export { countedYield } from './counted-yield.ts'
export type {
  AskedOf,
  AskedPlan,
  ChangeableField,
  ChangeableKind,
  DraftPin,
  GoodsComing,
  GoodsSource,
  GoodsWay,
  HeldByPlans,
  KitchenGoods,
  Known,
  MadePortions,
  OrderLine,
  PlanDraft,
  PlanGoods,
  PlanLines,
  PlansByAim,
  PlanTotals,
  WhyLeft,
} from './kitchen/index.ts'
export {
  boardShare,
  comesAs,
  comesOn,
  daysOf,
  demandOf,
  draftLater,
  emptyDraft,
  explainBill,
  explainCutMinutes,
  explainCutPortion,
  explainLeft,
  explainOrder,
  explainPlanCost,
  explainPlanTotal,
  explainReadyPortion,
  explainSaved,
  explainUnsure,
  goodsName,
  hoursHeld,
  hoursOn,
  kilosByDay,
  kitchenGoods,
  lessOn,
  missing,
  planDraft,
  planGoods,
  planLines,
  plannedWork,
  planRequest,
  planTotals,
  rateOf,
  restOfPlan,
  saidIn,
  trueAims,
  valueIn,
} from './kitchen/index.ts'
export { furtherFound, isGapKnown, planInPlaceOf, planKnownBetter } from './known-more.ts'

export { modelOf as orderPlanModel } from './model/index.ts'
export type {
  OrderPlan,
  OrderPlanRequest,
  PlanLimit,
} from './order-plan.ts'
export { orderPlan, orderPlanRequest } from './order-plan.ts'
export type { UsualWays } from './plain-plans.ts'

export { planFor, planOrders } from './plan-orders.ts'
export { solvePlan as solveOrderPlan } from './solve-plan.ts'
