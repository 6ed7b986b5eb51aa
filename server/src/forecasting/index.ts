export { forecastingRoutes } from './routes.ts'
