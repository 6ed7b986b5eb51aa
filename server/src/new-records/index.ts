export { importRoutes, startRoutes } from './routes.ts'
