export { supplierRoutes } from './routes.ts'
export { requireSupplier, suppliersNamed } from './service.ts'
export { suppliers } from './store.ts'
