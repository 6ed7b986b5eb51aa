export type { ChartLimits, ChartPoint, ChartSignal } from './control-chart.ts'
export { CHART_BASELINE, controlChart } from './control-chart.ts'
export type { Doubt, DoubtKind, DoubtPile, DoubtRecord, TakenTwice } from './doubts/index.ts'
export { DOUBT_KINDS, doubtsOf, takenTwice } from './doubts/index.ts'
export { explainImprovement, explainOddWeek, explainPortionMoney, explainPractice } from './explain-findings.ts'
export { explainRecordMinutes, explainRecordYield } from './explain-record.ts'
export {
  explainAgainst,
  explainChange,
  explainChangeMoney,
  explainEnd,
  explainMean,
  explainMoneyView,
} from './explain-summary.ts'
export { groupBy } from './group-by.ts'
export type { PracticeRecord } from './learning.ts'
export { improvementsOf, learningCurve, practiceOf } from './learning.ts'
export type { SharedPile } from './moved-piles.ts'
export { movedPiles } from './moved-piles.ts'

export { LOST_VIEWS, oddWeeks } from './odd-weeks.ts'
export type { RecordMoney } from './record-figures.ts'
export { FIGURES_VERSION, MONEY_VIEWS, recordFigures } from './record-figures.ts'
export type { SeasonShare } from './season.ts'
export { seasonsOf } from './season.ts'

export { sizeClassOf } from './size-class.ts'
export type {
  LogbookGroup,
  MemberSums,
  MemberYields,
  SpreadMean,
} from './summary.ts'
export { LOGBOOK_GROUPS, summariseLogbook } from './summary.ts'

export { explainRecordsCost, trueCostPerKg } from './true-cost.ts'
export type { ComparedRecord } from './turns.ts'
export { turnsOf } from './turns.ts'
export type { Change, ChangeRecord } from './what-changed.ts'
export { whatChanged } from './what-changed.ts'
