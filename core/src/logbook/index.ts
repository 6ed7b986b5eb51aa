export type { RecordFigures, RecordMoney, RecordSaid } from './record-figures.ts'
export { FIGURES_VERSION, MONEY_VIEWS, recordFigures } from './record-figures.ts'
export type { SizeClass } from './size-class.ts'
export { sizeClassOf } from './size-class.ts'
export type {
  LogbookGroup,
  SpreadMean,
  Summary as LogbookSummary,
  SummaryCell,
  SummaryFigures,
  SummaryGroup,
} from './summary.ts'
export { LOGBOOK_GROUPS, summariseLogbook } from './summary.ts'
