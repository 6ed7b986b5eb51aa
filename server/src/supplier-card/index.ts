export { supplierCardRoutes } from './routes.ts'
