export { type AnswerPart, Background, type HandedTask } from './background.ts'
export { forwardToBackground, keepBodiesWhole } from './forward.ts'
