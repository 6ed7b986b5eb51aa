export { boardShare } from './board-share.ts'
export type { ChangeableField, ChangeableKind } from './changeable.ts'
export type { AskedOf } from './draft.ts'
export { daysOf, demandOf, draftLater, emptyDraft } from './draft.ts'
export { explainBill, explainCutMinutes, explainLeft, explainOrder } from './explain-lines.ts'
export { explainPlanCost, PLAN_COST_PARTS } from './explain-plan.ts'
export type {
  GoodsComing,
  GoodsSource,
  HeldByPlans,
  Known,
  PlanGoods,
} from './goods.ts'
export { goodsName, planGoods } from './goods.ts'
export { hoursHeld, kilosByDay } from './held-by-plans.ts'
export type { GoodsWay, KitchenGoods } from './kitchen-goods.ts'
export { kitchenGoods } from './kitchen-goods.ts'
export { lessOn } from './less-on.ts'
export type { DraftPin, PlanDraft } from './plan-draft.ts'
export { planDraft } from './plan-draft.ts'
export type { PlanTotals } from './plan-figures.ts'
export {
  explainCutPortion,
  explainPlanTotal,
  explainReadyPortion,
  explainSaved,
  explainUnsure,
  planTotals,
} from './plan-figures.ts'
export type { OrderLine, PlanLines } from './plan-lines.ts'
export { missing, planLines } from './plan-lines.ts'
export type { AskedPlan } from './plan-request.ts'
export { comesOn, hoursOn, planRequest, rateOf } from './plan-request.ts'
export { plannedWork } from './planned-work.ts'
export type { MadePortions } from './rest-of-plan.ts'
export { restOfPlan } from './rest-of-plan.ts'
export { comesAs } from './stock.ts'
export type { PlansByAim } from './true-aims.ts'
export { trueAims } from './true-aims.ts'
export { saidIn, valueIn } from './values.ts'
export type { WhyLeft } from './why-left.ts'
