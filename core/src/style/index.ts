export type { Chosen, SettledStyle } from './choices.ts'
export { choicesOf, settleStyle, shareLeft } from './choices.ts'
export type {
  CutStyle,
  PileFacts,
  StyleChoice,
  StyleOption,
  StylePile,
  StyleStep,
  Tool,
} from './cut-style.ts'
export { TOOLS } from './cut-style.ts'
export type { MeasuredStep } from './measured-step.ts'
export { measuredStep } from './measured-step.ts'
export type { NamedPile, NamedStep, NamedStyle } from './named-style.ts'
export { namedPartsOf, partsOfNamed } from './named-style.ts'
export { ledTo, stepsLedTo, withOwnPiles } from './pile-references.ts'
export type { SetUpPile } from './set-up-list.ts'
export { setUpList } from './set-up-list.ts'
export type { Species } from './species.ts'
export { SPECIES } from './species.ts'
export { stepMinutes } from './step-minutes.ts'
export { stepWorth } from './step-worth.ts'
export { expectedUnitWeight } from './unit-weight.ts'
