export { logbookRoutes } from './routes.ts'
