/** Text files of tables: safe for whoever opens them, readable from whoever wrote them. */
export { claimCsv } from './claim-csv.ts'
export { type CookWeekIssue, cookWeekCsv, readCookWeek } from './cook-week-csv.ts'
export { decodeText } from './decode-text.ts'
export { fromInert, inert } from './inert.ts'
export { pilesCsv } from './piles-csv.ts'
