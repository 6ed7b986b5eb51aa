/** The front door of the contract: schemas of everything that crosses a wire or a file, and their types. */
export { appraisal } from './appraisal.ts'
export type {
  Article,
  ArticlePrice,
  ArticleRow,
  ArticleRows,
  MovedPrices,
  PriceAdded,
  PriceCorrection,
  PriceListLine,
  Product,
  StruckPrice,
  Supplier,
} from './buying.ts'
export {
  ARTICLE_KINDS,
  article,
  articleHistory,
  articlePrice,
  articleRows,
  buyingForms,
  movedPrices,
  plateEdit,
  priceAdded,
  priceCorrection,
  productPlate,
  products,
  supplier,
  suppliers,
  turnedRows,
} from './buying.ts'
export type { ClaimedFault } from './claim-csv.ts'
export { claimCsv } from './claim-csv.ts'
export type { CookWeekIssue } from './cook-week-csv.ts'
export { cookWeekCsv, readCookWeek } from './cook-week-csv.ts'
export type { DecodedText } from './decode-text.ts'
export { decodeText } from './decode-text.ts'
export { assumptionsOf, editOf, lotEditOf } from './edit.ts'
export type {
  FabricationEdit,
  FabricationNews,
  FabricationRecord,
  FabricationRequest,
  FabricationRow,
  FabricationStart,
  FabricationState,
  FabricationStep,
  RecordVersion,
} from './fabrication.ts'
export {
  fabricationEdit,
  fabricationRecord,
  fabricationRows,
  fabricationStart,
  fabricationState,
  recordVersions,
} from './fabrication.ts'
export { fabricationDocument } from './fabrication-document.ts'
export type { FactRefused, FactsKept, LaidPiece, NotAFact, NumberedPlates } from './fact.ts'
export { fact, factsKept, factsSent, measuredCuts } from './fact.ts'
export type { ForecastEvidence } from './forecasting.ts'
export { forecastEvidence } from './forecasting.ts'
export type { Health } from './health.ts'
export { health } from './health.ts'
export { inert } from './inert.ts'
export type { KeptJudgement } from './judgement.ts'
export { keptJudgement } from './judgement.ts'
export type {
  DaySchedule,
  DayTask,
  KeptSchedule,
  ScheduleEdit,
  SchedulesStanding,
  StylesWork,
  ToldTask,
} from './kept-schedule.ts'
export {
  daySchedule,
  keptSchedule,
  scheduleEdit,
  schedulesStanding,
  stylesWork,
  styleWork,
  toldTask,
  toldTasks,
} from './kept-schedule.ts'
export type { Cook, CookEdit, CookWeeks, Kitchen, KitchenEdit, KitchenOffer } from './kitchen.ts'
export {
  cook,
  cookEdit,
  cooks,
  cookWeeks,
  kitchen,
  kitchenEdit,
  kitchenOffer,
  kitchenOffers,
  kitchenSetUp,
  kitchens,
  newCook,
} from './kitchen.ts'
export { lastDayAnswer, lastDayRequest } from './last-day.ts'
export type {
  ChartQuery,
  LogbookChanges,
  LogbookDoubts,
  LogbookExportQuery,
  LogbookFilters,
  LogbookPage,
  LogbookRecord,
  LogbookSeries,
  LogbookSort,
  LogbookSummaryAnswer,
  LoggedRecord,
  RecordsImported,
  RecordsQuery,
  SummaryQuery,
} from './logbook.ts'
export {
  chartQuery,
  LOGBOOK_FORMAT,
  LOGBOOK_SORTS,
  logbookChanges,
  logbookDoubts,
  logbookExportQuery,
  logbookFile,
  logbookPage,
  logbookSeries,
  logbookSummary,
  loggedRecord,
  MAX_IMPORTED,
  recordsQuery,
  summaryQuery,
} from './logbook.ts'
export type {
  CurveQuery,
  LogbookCurve,
  LogbookLearning,
  LogbookSeasons,
  LogbookTurns,
  LogbookView,
  PeriodQuery,
} from './logbook-findings.ts'
export {
  curveQuery,
  logbookCurve,
  logbookFilters,
  logbookLearning,
  logbookSeasons,
  logbookTurns,
  logbookView,
  logbookViews,
  periodQuery,
} from './logbook-findings.ts'
export { day, id, NOT_OF_OUR_TIME } from './numbers.ts'
export { ORDER_PLAN_FORMAT, orderPlan, orderPlanRequest } from './order-plan.ts'
export { pilesCsv } from './piles-csv.ts'
export { daysAway, jobProgress, keptTasks, planJobs, workCooks } from './plan-jobs.ts'
export { asAccepted } from './plan-work.ts'
export type {
  ExpectedLine,
  Plan,
  PlanAccepted,
  PlanEdit,
  PlannedEdit,
  PlannedFabrication,
  PlanRow,
} from './planning.ts'
export {
  arrival,
  expectedLine,
  expectedLines,
  plan,
  planAccepted,
  planCreated,
  planDraft,
  planEdit,
  planGoods,
  plannedEdit,
  plannedFabrication,
  plannedFabrications,
  planRow,
  planRows,
} from './planning.ts'
export { plating, platingRequest } from './plating.ts'
export type { BondedLines, KnifeLines } from './portioning.ts'
export {
  BONDED_FORMAT,
  bondedLines,
  bondedPlan,
  bondedRequest,
  KNIFE_LINES_FORMAT,
  knifeLines,
  portionPiece,
  portionPlan,
  portionRequest,
  rackPlan,
  rackRequest,
  racksRequested,
} from './portioning.ts'
export type { PriceColumn, PriceMapping, RememberedMapping } from './price-columns.ts'
export {
  fittingMappings,
  guessMapping,
  PRICE_COLUMN_NAMES,
  PRICE_COLUMNS,
  priceMapping,
  rememberedMappings,
} from './price-columns.ts'
export type { NumberedLine, PriceList, PriceTable } from './price-list.ts'
export { goodLines, PriceListReading, readPriceList, readTable } from './price-list.ts'
export { priceListCsv } from './price-list-csv.ts'
export { rowsOfList, withCell } from './price-list-edit.ts'
export type { PriceIssue, PriceIssueCode, PriceListContext } from './price-row.ts'
export { priceIssue } from './price-row.ts'
export type { Problem, ProblemCode } from './problem.ts'
export { issuesOf, PROBLEMS, pathText, problem } from './problem.ts'
export type { Lot, LotCase, LotCheck, LotEdit, LotPhoto, LotRow, LotTrace } from './receiving.ts'
export { lot, lotEdit, lotPhoto, lotRows, lotTrace } from './receiving.ts'
export type { CuttingBeside } from './rest-of-plan.ts'
export { cuttingBeside, draftOfRest, isOnItsWay, isWaiting } from './rest-of-plan.ts'
export type { ScaleLine, ScaleReading, ScaleState, ScaleStatus } from './scale-line.ts'
export {
  formatScaleLine,
  LONGEST_LINE,
  parseScaleLine,
  scaleCommand,
  scaleReading,
  scaleStatus,
  standInLoad,
} from './scale-line.ts'
export { SCHEDULE_FORMAT, schedule, scheduleRequest } from './schedule.ts'
export { scheduleCalendar } from './schedule-calendar.ts'
export type { SetUp } from './set-ups.ts'
export { setUpsOf } from './set-ups.ts'
export type {
  CautionOverride,
  Container,
  Item,
  ItemEdit,
  Style,
  StyleFile,
  StylePile,
  StyleStep,
} from './style.ts'
export {
  cautionOverride,
  cautionOverrides,
  cautionScopeQuery,
  container,
  containers,
  item,
  itemEdit,
  items,
  STYLE_FORMAT,
  style,
  styleFile,
} from './style.ts'
export type { SupplierCard, SupplierCards, SupplierCardsQuery } from './supplier-card.ts'
export { supplierCards, supplierCardsQuery } from './supplier-card.ts'
export type { UnreadableRow } from './unreadable.ts'
export { UNREADABLE_KINDS, unreadableRow, unreadableRows } from './unreadable.ts'
export { brokenText, HALF_A_CHARACTER } from './well-formed.ts'
export type { Assumptions, WhatIf } from './what-if.ts'
export { whatIf, whatIfs } from './what-if.ts'
export type { Work, WorkName } from './work.ts'
