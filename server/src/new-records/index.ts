export { newRecordRoutes } from './routes.ts'
