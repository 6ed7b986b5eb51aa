/** What the values of shapes may be: weights, money, counts, names, days. */

export type { FixedLists } from './fixed-lists.ts'
export {
  count,
  currency,
  day,
  grams,
  gramsInAll,
  id,
  instant,
  minutes,
  money,
  NOT_OF_OUR_TIME,
  name,
  notes,
  positiveCount,
  positiveGrams,
  positiveShare,
  quantity,
  share,
  signedMoney,
  sum,
  weekday,
} from './values.ts'
