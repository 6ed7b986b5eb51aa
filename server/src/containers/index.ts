export { containerRoutes } from './routes.ts'
