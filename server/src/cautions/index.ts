export { cautionRoutes } from './routes.ts'
