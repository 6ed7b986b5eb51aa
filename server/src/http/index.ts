export { clientGone } from './client-gone.ts'
export { createOnce, isSameContent } from './create-once.ts'
export { DiskWatch } from './disk-watch.ts'
export { sendEvents } from './event-stream.ts'
export { loggedError } from './logged-error.ts'
export { describing } from './operations.ts'
export { servePages } from './pages.ts'
export {
  answerWithProblems,
  MAX_ISSUES,
  notFound,
  Refusal,
  refuseOtherId,
  refuseTaken,
  sendFrameworkError,
} from './problems.ts'
export { answerOwnPagesOnly } from './reach.ts'
export type { OddAnswer, OnOddAnswer, Server } from './schemas.ts'
export { readAside, requireReadable, withSchemas } from './schemas.ts'
export { secureAnswer } from './security.ts'
export { takeTurns } from './take-turns.ts'
export type { Steps } from './tell-steps.ts'
export { tellSteps } from './tell-steps.ts'
