export type { AnswerPart, HandedTask } from './background.ts'
export { Background } from './background.ts'
export { forwardToBackground, keepBodiesWhole } from './forward.ts'
