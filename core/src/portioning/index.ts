export type { BondedCosts, BondedPlan, BondedWish } from './bonded.ts'
export { DEFAULT_BONDED_COSTS, planBonded } from './bonded.ts'
export type { NextCut, TakenCut } from './closed-loop.ts'
export { afterCut, nextCut, nextCutOf } from './closed-loop.ts'
export type { BondedFigure } from './explain-bonded.ts'
export { explainBonded } from './explain-bonded.ts'
export { explainJudged } from './explain-judged.ts'
export type { PartFigure } from './explain-part.ts'
export { explainHowFarOff, explainOff, explainPart } from './explain-part.ts'
export { explainBlade, explainOffTarget, explainRackWeight, explainSpread } from './explain-rack.ts'
export { explainGivenAwayOf, explainMeanOf, explainWishCost } from './explain-spread.ts'
export { explainBelly, explainCameOff, trimFillet } from './fillet.ts'
export type { CutPiece, MisfitReason } from './fit.ts'
export { measurePiece, misfits } from './fit.ts'
export type { JudgedCuts, JudgedPart } from './judge.ts'
export { judgeCuts } from './judge.ts'
export type { MeasuredPortion, ShapeTemplate } from './measuring.ts'
export {
  howFarOff,
  largestArea,
  pieceFromGirths,
  pieceFromOutline,
  pieceFromTemplate,
  weightAgainstMeasures,
} from './measuring.ts'
export type { OutlineMarks, PicturePoint } from './outline-marks.ts'
export { outlineFromMarks } from './outline-marks.ts'
export type { PortionPlan, PortionWish } from './plan.ts'
export { planPortions } from './plan.ts'
export type { PlanRules, PortionProduct, ScrapWish } from './product.ts'
export { DEFAULT_PLAN_RULES } from './product.ts'
export { productsOfPiles } from './products-of-piles.ts'
export type { Piece, Shape, Station } from './profile.ts'
export { areaOf, faceOf, girthOf, shapeOf } from './profile.ts'
export type { Rack, RackCut, RackPlan, RackPortion, RackStyle, RackWish, RibRef } from './rack.ts'
export { RACK_STYLES, rackCuts, ribWeights } from './rack.ts'
export { planRacks } from './rack-plan.ts'
export { addTape, girthsAlong, LEAST_GIRTHS, MOST_GIRTHS, moveTape, removeTape } from './taping.ts'
export { planVariants } from './variants.ts'
