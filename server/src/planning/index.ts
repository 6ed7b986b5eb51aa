export { kitchenPlanRoutes } from './kitchen-routes.ts'
export { planningRoutes } from './routes.ts'
export { beginPlanned, changePlan, plan, planned, refuse, requirePlan } from './service.ts'
export { schedulesAround, toldOf, updatePlan } from './store.ts'
