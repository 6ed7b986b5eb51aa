export { receivingRoutes } from './routes.ts'
export { requireLot } from './service.ts'
