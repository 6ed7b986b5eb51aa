export { sheetRoutes } from './routes.ts'
