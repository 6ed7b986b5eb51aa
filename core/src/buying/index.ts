export type { ChoiceForm } from './choice-forms.ts'
export { choiceForms } from './choice-forms.ts'
export type { DinnersOfPart } from './dinners.ts'
export { dinnersOf, explainMeals } from './dinners.ts'
export type { TrueCostFigure } from './explain-cost.ts'
export { explainByFactor, explainTrueCost } from './explain-cost.ts'
export type {
  AssumedValue,
  BuyingForm,
  BuyingRequest,
  FormPile,
  LightPlates,
  ReadyForm,
  WholeForm,
} from './form.ts'
export { keptDays, LIGHT_PLATES } from './form.ts'
export { offerOfForm, platesFromPiece, platesFromUnit } from './form-document.ts'
export type { MealPart, MealView } from './meal-view.ts'
export { keptUntil, mealView } from './meal-view.ts'
export type { PartedFigure, PartedValue } from './parted-value.ts'
export { explainParted, explainPartPrice, partedValue, rankParted } from './parted-value.ts'
export type { ProductPlate } from './plate.ts'
export { assumedPlate, piecesOnPlate, portionsFrom } from './plate.ts'
export type { PricePoint } from './price-history.ts'
export { overlaps, priceLine, priceOn } from './price-history.ts'
export type { Order, Quote } from './quote.ts'
export { orderFor, pieceWeightOf, quotedPerKg } from './quote.ts'
export type { PlateSaid, SideBySide, SideBySideRequest, SideFigure } from './side-by-side.ts'
export { SIDE_FIGURES, sideOf } from './side-by-side.ts'
export type { BuyingComparison, TrueCost } from './true-cost.ts'
export { canTellApart, compareForms } from './true-cost.ts'
export type { PriceChange, Recosted } from './turned.ts'
export { isSamePrice, recost, turnedVerdict } from './turned.ts'
