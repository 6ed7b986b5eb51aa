export { ScaleGateway } from './gateway.ts'
export { scaleRoutes } from './routes.ts'
