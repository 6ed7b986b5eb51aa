export { clockWords } from './clock-words.ts'
export { outWords, overWords } from './cold-words.ts'
export type { Format } from './format.ts'
export { formatFor } from './format.ts'
export { moreDigits } from './formula-digits.ts'
export { judgementWords } from './judgement-words.ts'
export { attributionWords, broughtWords, changeWords, doubtWords, LOST_WORDS } from './logbook-words.ts'
export { nameKey } from './name-key.ts'
export {
  leftWords,
  limitWords,
  mendWords,
  orderText,
  planWords,
  provenWords,
  surenessWords,
  uncutWords,
} from './plan-words.ts'
export { setUpLines } from './set-up-words.ts'
export { faultWords, taskNames, taskWords } from './task-words.ts'
export { TOOL_WORDS } from './tool-words.ts'
export type { SentencePart } from './verdict-sentence.ts'
export { verdictSentence } from './verdict-sentence.ts'
export { ALLOCATION_WORDS, POLICY_WORDS, VERDICT_WORDS } from './words.ts'
