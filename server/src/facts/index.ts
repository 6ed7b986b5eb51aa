export { factRoutes } from './routes.ts'
export { factsOf } from './store.ts'
