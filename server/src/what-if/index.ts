export { whatIfRoutes } from './routes.ts'
export { whatIfs } from './store.ts'
