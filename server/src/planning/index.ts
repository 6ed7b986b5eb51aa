export { planningRoutes } from './routes.ts'
