/** The front door of the server: what tests and tools may build. */
export { buildApp } from './app.ts'
export type { Database } from './database/index.ts'
export { migrate, openDatabase } from './database/index.ts'
export { ScaleGateway } from './scale/index.ts'
