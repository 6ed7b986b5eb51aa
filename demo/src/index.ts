/** The front door of the demo scenario. */
export { loadDemo } from './load.ts'
export { makePlans } from './make-plans.ts'
export { pastRecords } from './past-records.ts'
