export { appraisalRoutes } from './routes.ts'
