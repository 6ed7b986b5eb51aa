export { kitchenScheduleRoutes } from './kitchen-routes.ts'
export { schedulingRoutes } from './routes.ts'
