export type { Doubt, DoubtKind, DoubtPile, DoubtRecord, TakenTwice } from './doubt.ts'
export { DOUBT_KINDS } from './doubt.ts'
export { doubtsOf } from './doubts-of.ts'
export { takenTwice } from './twice.ts'
