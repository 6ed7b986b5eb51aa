/**
 * What a kitchen can mean, one set for every layer: the device refuses it as it is typed, the server before it is
 * stored, and nothing that was stored within them is refused as it is read. Beyond them somebody slipped.
 */

/** A milligram, in grams: below it nothing is weighed, and nothing above zero may become zero where it is kept. */
export const LIGHTEST_GRAMS = 0.001
/** The smallest share, pack or quantity above zero that is believed. */
export const SMALLEST_QUANTITY = 0.000_001
/** A hundred tonnes, in grams. */
export const HEAVIEST_GRAMS = 100_000_000
/** What lies on one bench or floor scale at most, in grams: two tonnes. */
export const HEAVIEST_ON_A_SCALE = 2_000_000
/** Money of one entry, in major units. */
export const MAX_MONEY = 1_000_000_000
/** Minutes of one entry: nearly seventy days. A clock that was forgotten counts no further. */
export const MAX_MINUTES = 100_000
/** Birds, fish, loins or racks of one fabrication. More is grams in the wrong field. */
export const MAX_UNITS = 5_000
/** Weighings of one pile. */
export const MAX_PIECES = 10_000
/** Weighings of one document, of all its piles together. */
export const MAX_WEIGHINGS = 10_000
/** Days of one plan. */
export const MAX_PLAN_DAYS = 14
/** Minutes from the first day of a plan within which its work lies: what is late may end days after. */
export const MAX_SCHEDULE_MINUTES = (MAX_PLAN_DAYS + 7) * 24 * 60
/** Portions, kilos or packs of one line. */
export const MAX_QUANTITY = 1_000_000
/** A sum of as many entries as a list holds, each as large as it may be. */
export const MAX_SUM = 1_000_000_000_000_000
/** Lines of a plan's answer: of every product, day and way to come by it. */
export const MAX_ANSWER_LINES = 20_000
/** Cooks of one kitchen: each may run a clock. */
export const MAX_COOKS = 100
/** Letters of a cook's name: what a cook did is named after it. */
export const LONGEST_COOK_NAME = 60
/** Cut styles of one item, archived ones too. */
export const MAX_STYLES = 100
/** The last place in the order of the work at a bench: what comes after it shares it, and is told apart by its id. */
export const LAST_ORDER = 1_000_000_000
/** The first year of a day that is believed: before it somebody typed two figures. */
export const FIRST_YEAR = 2000
