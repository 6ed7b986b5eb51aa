export { kitchenPlanRoutes } from './kitchen-routes.ts'
export { planningRoutes } from './routes.ts'
export { beginPlanned } from './service.ts'
