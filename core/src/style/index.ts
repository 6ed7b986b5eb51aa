export type { Chosen, ChosenOption, SettledStyle } from './choices.ts'
export { choicesOf, settleStyle, shareLeft } from './choices.ts'
export type {
  CutStyle,
  PileFacts,
  PortionBounds,
  StepGain,
  StyleChoice,
  StyleConsumable,
  StyleOption,
  StylePile,
  StyleStep,
  Tool,
  When,
} from './cut-style.ts'
export { TOOLS } from './cut-style.ts'
export type { MeasuredStep } from './measured-step.ts'
export { measuredStep } from './measured-step.ts'
export type { NamedPile, NamedStep, NamedStyle } from './named-style.ts'
export { namedPartsOf, partsOfNamed } from './named-style.ts'
export { ledTo, stepsLedTo, withOwnPiles } from './pile-references.ts'
export type { SetUpPile } from './set-up-list.ts'
export { setUpList } from './set-up-list.ts'
export { stepMinutes } from './step-minutes.ts'
export type { StepWorth } from './step-worth.ts'
export { stepWorth } from './step-worth.ts'
export { expectedUnitWeight } from './unit-weight.ts'
