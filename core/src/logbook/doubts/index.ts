export type { Doubt, DoubtContainer, DoubtPile, DoubtRecord, TakenTwice } from './doubt.ts'
export { doubtsOf } from './doubts-of.ts'
export { takenTwice } from './twice.ts'
