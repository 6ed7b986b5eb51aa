export { factRoutes } from './routes.ts'
export { rowOfFact } from './rows.ts'
export { factsOf } from './store.ts'
