export { portioningRoutes } from './routes.ts'
