/** The front door of the demo scenario. */
export { loadDemo } from './load.ts'
