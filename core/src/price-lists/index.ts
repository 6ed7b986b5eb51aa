/** Price lists of suppliers: what a line is, which column says what, reading and writing them. */
export type { Article, ArticlePrice, PriceListLine } from './article.ts'
export { article, articlePrice, priceFields, productName } from './article.ts'
export type { PriceMapping, RememberedMapping } from './columns.ts'
export {
  fittingMappings,
  guessMapping,
  PRICE_COLUMN_NAMES,
  PRICE_COLUMNS,
  priceMapping,
  rememberedMapping,
  rememberedMappings,
} from './columns.ts'
export { rowsOfList, withCell } from './edit-list.ts'
export { priceListCsv } from './list-csv.ts'
export type { NumberedLine } from './read-list.ts'
export { goodLines, readPriceList, readTable } from './read-list.ts'
export type { PriceIssue, PriceIssueCode, PriceListContext } from './row.ts'
export { priceIssue } from './row.ts'
