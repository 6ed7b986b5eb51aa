export type { Chosen, SettledStyle } from './choices.ts'
export { choicesOf, settleStyle, shareLeft } from './choices.ts'
export type {
  CutPile,
  CutStyle,
  NamedStep,
  PileFacts,
  StyleChoice,
  StyleOption,
  StylePile,
  StyleStep,
} from './cut-style.ts'
export { stylePile, styleStep } from './cut-style.ts'
export type { MeasuredStep } from './measured-step.ts'
export { measuredStep } from './measured-step.ts'
export type { NamedPile, NamedStyle } from './named-style.ts'
export { namedPartsOf, partsOfNamed } from './named-style.ts'
export { ledTo, stepsLedTo, withOwnPiles } from './pile-references.ts'
export type { SetUpPile } from './set-up-list.ts'
export { setUpList } from './set-up-list.ts'
export type { Species } from './species.ts'
export { SPECIES } from './species.ts'
export { stepMinutes } from './step-minutes.ts'
export { stepWorth } from './step-worth.ts'
export type { Item, ItemEdit, Style, StyleFile } from './style.ts'
export { item, itemEdit, items, STYLE_FORMAT, style, styleFile } from './style.ts'
export type { Tool } from './tools.ts'
export { TOOLS } from './tools.ts'
export { expectedUnitWeight } from './unit-weight.ts'
export { key, words } from './words.ts'
