export { receivingRoutes } from './routes.ts'
export { requireLot } from './service.ts'
export { lots, lotsReceived } from './store.ts'
