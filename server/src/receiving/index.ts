export { receivingRoutes } from './routes.ts'
export { requireLot } from './service.ts'
export { lotsReceived } from './store.ts'
