export { goodsOf } from './goods.ts'
export { kitchenPlanRoutes } from './kitchen-routes.ts'
export { planRows } from './plan-rows.ts'
export { planningRoutes } from './routes.ts'
export { beginPlanned, changePlan, plan, planned, refuse, requirePlan } from './service.ts'
export {
  deletePlanRow,
  everySchedule,
  expectedIds,
  plannedIds,
  schedulesAround,
  toldOf,
  updatePlan,
} from './store.ts'
