/** The front door of the server: what tests and tools may build. */
export { buildApp } from './app.ts'
export { openDatabase } from './database/connection.ts'
export { migrate } from './database/migrate.ts'
export { ScaleGateway } from './scale/gateway.ts'
