export { platingRoutes } from './routes.ts'
