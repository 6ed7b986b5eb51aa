export { type AnswerPart, Background, type BackgroundOptions, type HandedTask } from './background.ts'
export { forwardToBackground, keepBodiesWhole } from './forward.ts'
