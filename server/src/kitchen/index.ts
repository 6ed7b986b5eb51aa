export { kitchenRoutes } from './routes.ts'
export { requireCook } from './service.ts'
export { cooks, offers } from './store.ts'
