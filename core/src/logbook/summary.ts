import { ratio } from '../costing/index.ts'
import { joinMoments, type Moments, NO_MOMENTS, tHalfWidth } from '../statistics/index.ts'
import { groupBy } from './group-by.ts'
import { MONEY_VIEWS, type RecordMoney } from './record-figures.ts'

export const LOGBOOK_GROUPS = [
  'item',
  'style',
  'cook',
  'supplier',
  'month',
  'week',
  'season',
  'size',
  'stiffness',
] as const
export type LogbookGroup = (typeof LOGBOOK_GROUPS)[number]

/** Intervals of the logbook hold the true mean in so many cases. */
const SUMMARY_CONFIDENCE = 0.95

/** Records of one member of a grouping, summed. */
export interface MemberSums {
  /** Id or key of the member; null where nobody said. */
  member: string | null
  records: number
  units: number
  /** Grams. */
  ap: number
  primaryWeight: number
  portionYield: Moments
  minutesPerUnit: Moments
  money: RecordMoney
}

/** Portion yields of one member at one item and style. */
export interface MemberYields {
  member: string | null
  /** Item and style together: records of another are not comparable. */
  comparable: string
  portionYield: Moments
}

/** A mean with its spread: `low` to `high` is where the true mean lies; nulls below two records. */
export interface SpreadMean {
  mean: number | null
  sd: number | null
  low: number | null
  high: number | null
}

export interface SummaryFigures {
  records: number
  units: number
  ap: number
  portionYield: SpreadMean & { weighted: number | null }
  /** Against the same item and style by the other members; null where there is nobody to compare with. */
  yieldAgainstStyle: { mean: number; low: number | null; high: number | null } | null
  minutesPerUnit: SpreadMean
  money: RecordMoney
}

export interface SummaryGroup extends SummaryFigures {
  key: string | null
}

export interface Summary {
  groups: SummaryGroup[]
  all: SummaryFigures
}

/**
 * The members of a grouping, and all of them together. Each record counts once, however large it is; `weighted` alone
 * goes by weight. Groups come in the order of their sums.
 */
export function summariseLogbook(sums: readonly MemberSums[], yields: readonly MemberYields[]): Summary {
  const all = yieldsByComparable(yields)
  const byMember = groupBy(yields, ({ member }) => JSON.stringify(member))
  return {
    groups: sums.map((group) => ({
      key: group.member,
      ...figuresOf([group]),
      yieldAgainstStyle: againstStyle(byMember.get(JSON.stringify(group.member)) ?? [], all),
    })),
    all: figuresOf(sums),
  }
}

/** Everything that was cut from an item in a style: how many records, and the sum of their yields. */
type Comparables = ReadonlyMap<string, { n: number; sum: number }>

function yieldsByComparable(yields: readonly MemberYields[]): Comparables {
  const sums = new Map<string, { n: number; sum: number }>()
  for (const { comparable, portionYield } of yields) {
    const { n, sum } = sums.get(comparable) ?? { n: 0, sum: 0 }
    sums.set(comparable, { n: n + portionYield.n, sum: sum + portionYield.mean * portionYield.n })
  }
  return sums
}

/** Each record's yield less the mean of its item and style by the others, over the records that have others. */
function againstStyle(own: readonly MemberYields[], all: Comparables): SummaryFigures['yieldAgainstStyle'] {
  const mine = new Map<string, Moments>()
  for (const { comparable, portionYield } of own) {
    mine.set(comparable, joinMoments(mine.get(comparable) ?? NO_MOMENTS, portionYield))
  }
  let differences = NO_MOMENTS
  for (const [comparable, moments] of mine) {
    const { n, sum } = all.get(comparable) ?? { n: 0, sum: 0 }
    const count = n - moments.n
    if (count === 0) continue
    const ofOthers = (sum - moments.mean * moments.n) / count
    differences = joinMoments(differences, { ...moments, mean: moments.mean - ofOthers })
  }
  const { mean, low, high } = spreadMean(differences)
  return mean === null ? null : { mean, low, high }
}

function figuresOf(sums: readonly MemberSums[]): SummaryFigures {
  const sum = (of: (group: MemberSums) => number) => sums.reduce((total, group) => total + of(group), 0)
  const join = (of: (group: MemberSums) => Moments) =>
    sums.reduce((moments, group) => joinMoments(moments, of(group)), NO_MOMENTS)
  const ap = sum((group) => group.ap)
  return {
    records: sum((group) => group.records),
    units: sum((group) => group.units),
    ap,
    portionYield: {
      ...spreadMean(join((group) => group.portionYield)),
      weighted: ratio(
        sum((group) => group.primaryWeight),
        ap,
      ),
    },
    yieldAgainstStyle: null,
    minutesPerUnit: spreadMean(join((group) => group.minutesPerUnit)),
    money: Object.fromEntries(MONEY_VIEWS.map((view) => [view, sum((group) => group.money[view])])) as Record<
      (typeof MONEY_VIEWS)[number],
      number
    >,
  }
}

/** Mean ± t(0.975, n − 1) · sd ÷ √n. */
function spreadMean({ n, mean, squares }: Moments): SpreadMean {
  if (n === 0) return { mean: null, sd: null, low: null, high: null }
  if (n === 1) return { mean, sd: null, low: null, high: null }
  const sd = Math.sqrt(squares / (n - 1))
  const half = tHalfWidth(n, sd, SUMMARY_CONFIDENCE)
  return { mean, sd, low: mean - half, high: mean + half }
}
