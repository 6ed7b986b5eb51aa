export { schedulingRoutes } from './routes.ts'
