export { healthRoutes } from './routes.ts'
