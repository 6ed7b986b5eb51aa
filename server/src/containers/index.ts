export { containerRoutes } from './routes.ts'
export { containers } from './store.ts'
