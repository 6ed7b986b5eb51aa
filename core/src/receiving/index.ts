export type { CaseLabel } from './case-label.ts'
export { readCaseLabel } from './case-label.ts'
export { checkDigitOf, hasRightCheckDigit } from './check-digit.ts'

export { deliveryClaim, SHORT_SHARE } from './claim.ts'
export type { DrawnLot } from './draw.ts'
export { purchaseFromLot, unitsFromLot } from './draw.ts'

export type { LabelMismatch } from './label-match.ts'
export { labelAgainstLot, labelMismatch, otherLabelWeight, repeatedLabels } from './label-match.ts'
export type { ClaimedLot, LotStanding } from './lot-claim.ts'
export { isSentBack, LOT_STANDINGS, lotClaim } from './lot-claim.ts'
export type { StockLot } from './stock.ts'
export { lotBalance, stockInOrder } from './stock.ts'
