export { unreadableRoutes } from './routes.ts'
