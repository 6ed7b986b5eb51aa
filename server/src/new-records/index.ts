export { importRoutes, logbookImportRoutes, startRoutes } from './routes.ts'
