import { median, usualOf } from '../statistics/index.ts'
import type { RecordMoney } from './record-figures.ts'

/** A week of the kitchen's money. */
export interface WeekMoney {
  /** `2026-W48`. */
  week: string
  records: number
  money: RecordMoney
}

/** A week in which far more was lost one way than is usual. */
export interface OddWeek {
  week: string
  view: (typeof LOST_VIEWS)[number]
  amount: number
  /** What a week that spent as much usually loses so. */
  usual: number
}

export const LOST_VIEWS = ['waste', 'unused', 'givenAway', 'demoted', 'unaccounted'] as const
const MIN_WEEKS = 12
/** Robust standard deviations, and a multiple of the usual. */
const FAR = 6
const TIMES = 2

/**
 * Weeks in which one way of losing took far more of what was spent than in the others, most money first. From twelve
 * weeks on.
 */
export function oddWeeks(weeks: readonly WeekMoney[]): OddWeek[] {
  const spent = weeks.filter(({ money }) => money.spent > 0)
  if (spent.length < MIN_WEEKS) return []
  const typical = median(spent.map(({ money }) => money.spent))
  return LOST_VIEWS.flatMap((view) => {
    const { usual, sd } = usualOf(spent.map(({ money }) => money[view] / money.spent))
    return spent.flatMap(({ week, money }): OddWeek[] => {
      const share = money[view] / money.spent
      // A little week loses a large share of little: it has to be money too.
      const isFar = share - usual > FAR * sd && share > TIMES * usual && money[view] > usual * typical
      return isFar && money[view] > 0 ? [{ week, view, amount: money[view], usual: usual * money.spent }] : []
    })
  }).sort((a, b) => b.amount - b.usual - (a.amount - a.usual))
}
