export { kitchenRoutes } from './routes.ts'
export { cookById, requireCook } from './service.ts'
export { cooks, offers } from './store.ts'
