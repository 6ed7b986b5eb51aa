export type { ChartLimits, ChartPoint, ChartSignal, ControlChart } from './control-chart.ts'
export { controlChart } from './control-chart.ts'
export type { Doubt, DoubtRecord } from './doubts.ts'
export { doubtsOf } from './doubts.ts'
export {
  explainAgainst,
  explainChange,
  explainChangeMoney,
  explainEnd,
  explainMean,
  explainMoneyView,
} from './explain-summary.ts'
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
export type { Change, ChangeRecord, WhatChanged } from './what-changed.ts'
export { whatChanged } from './what-changed.ts'
