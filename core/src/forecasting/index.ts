export type { Basis, Estimate } from './estimate.ts'
export { ASSUMED_WEIGHT, estimateForSupplier, estimateFrom, TESTS_FOR_OWN } from './estimate.ts'
