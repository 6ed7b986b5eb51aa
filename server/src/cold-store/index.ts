export { lastDayRoutes } from './routes.ts'
