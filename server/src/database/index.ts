/** The front door of the database: its connection, its models and tables, its migrations. */
export { databaseAttributes } from './attributes.ts'
export type { Database } from './connection.ts'
export { databaseCode, isDatabaseAway, isDiskFull, openDatabase } from './connection.ts'
export { migrate, migrationState, UnusableDatabase } from './migrate.ts'
export type { ArticleModel } from './models/buying.ts'
export { articlePriceTable, articleTable, supplierTable } from './models/buying.ts'
export type { FabricationModel } from './models/fabrication.ts'
export {
  fabricationBoardTable,
  fabricationConsumableTable,
  fabricationLabourTable,
  fabricationOfferTable,
  fabricationPileTable,
  fabricationTable,
  fabricationVersionTable,
  whatIfTable,
} from './models/fabrication.ts'
export type { FactRow } from './models/facts.ts'
export { factTable } from './models/facts.ts'
export { cookTable, kitchenOfferTable } from './models/kitchen.ts'
export type { OrderPlanModel } from './models/planning.ts'
export { expectedLineTable, orderPlanTable, plannedFabricationTable, toldTaskTable } from './models/planning.ts'
export type { LotModel } from './models/receiving.ts'
export { lotCaseTable, lotCheckTable, lotTable } from './models/receiving.ts'
export { itemTable, stylePileTable, styleTable } from './models/style.ts'
export { parsedJsonOf } from './parsed-json.ts'
export type { TableRow } from './table.ts'
