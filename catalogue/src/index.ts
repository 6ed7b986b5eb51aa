/** The front door of the catalogue: items, cut styles, steps, drawings and cautions, as data. */
import { RIB, RIB_EYE, TOP_SIRLOIN } from './beef/rib-and-sirloin.ts'
import { TENDERLOIN } from './beef/tenderloin.ts'
import { CHICKEN, CHICKEN_LEGS } from './birds/chicken.ts'
import { CAPON, DUCK, GOOSE, TURKEY } from './birds/large-birds.ts'
import { GUINEA_FOWL, PHEASANT, POUSSIN, QUAIL, SQUAB } from './birds/small-birds.ts'
import { withStepMinutes } from './build.ts'
import { CHAR, HAKE, TURBOT, WHITE_FISH } from './fish/fish.ts'
import { RACK_CHINE_ON, RACK_CHINED } from './lamb/lamb.ts'
import type { CatalogueItem } from './schema.ts'

export { CAUTIONS, cautionById, cautionsFor, DEFERS_TO } from './cautions.ts'
export type { Drawing, DrawingView } from './drawings/index.ts'
export { drawingOf } from './drawings/index.ts'
export type { Animal, KeepingTime } from './pile-facts.ts'
export { factsOf, keepingOpened } from './pile-facts.ts'
export type { ReceivingCheck } from './receiving-checks.ts'
export { faultWords, hasSafetyFault, RECEIVING_CHECKS, receivingChecksFor } from './receiving-checks.ts'
export { RIGOR_STATES } from './rigor.ts'
export type {
  CatalogueItem,
  CatalogueStyle,
  Caution,
  CautionPlace,
  DrawingName,
} from './schema.ts'
export { DRAWINGS } from './schema.ts'
export type { ItemShape } from './shapes.ts'
export { BONDED_SHAPES, SHAPES, shapeById, USUAL_RACK } from './shapes.ts'
export { WHOLE_WORDS } from './whole-words.ts'

const WRITTEN: readonly CatalogueItem[] = [
  CHICKEN,
  CHICKEN_LEGS,
  TURKEY,
  DUCK,
  GOOSE,
  CAPON,
  GUINEA_FOWL,
  PHEASANT,
  POUSSIN,
  QUAIL,
  SQUAB,
  WHITE_FISH,
  HAKE,
  CHAR,
  TURBOT,
  TENDERLOIN,
  RIB_EYE,
  RIB,
  TOP_SIRLOIN,
  RACK_CHINE_ON,
  RACK_CHINED,
]

/** Everything a new kitchen starts with, in the order in which it is offered. */
export const CATALOGUE: readonly CatalogueItem[] = WRITTEN.map((item) => ({
  ...item,
  styles: item.styles.map(withStepMinutes),
}))
