export { kitchenPlanRoutes } from './kitchen-routes.ts'
export { planningRoutes } from './routes.ts'
export { beginPlanned, changePlan, plan, planned, refuse, requirePlan } from './service.ts'
export {
  deletePlanRow,
  everySchedule,
  expectedIds,
  plannedIds,
  planRows,
  schedulesAround,
  toldOf,
  updatePlan,
} from './store.ts'
