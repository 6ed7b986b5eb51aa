import { holm, momentsOf, yearlySwing } from '../statistics/index.ts'
import { groupBy } from './group-by.ts'

/** The share of one pile of a counted record, by its day. */
export interface SeasonShare {
  item: string
  style: string
  /** Id of the style's pile; the pile's name where it is of no style. */
  pile: string
  name: string
  day: string
  share: number
}

/** A pile whose share goes up and down with the year, beyond chance. */
export interface Season {
  item: string
  style: string
  pile: string
  name: string
  records: number
  /** Months of the year, 1 to 12, in which there is most and least of it. */
  most: number
  least: number
  /** From least to most, a share of AP. */
  swing: number
  p: number
  /** Mean share of each month of the year that has records. */
  months: { month: number; records: number; mean: number }[]
}

/** Fewer records, or fewer months of the year, tell nothing of a season. */
const MIN_RECORDS = 24
const MIN_MONTHS = 9
const LEVEL = 0.05
/** Below this nobody would look. */
const MIN_SWING = 0.005
const MONTHS = 12

/** Month of the year of a day, 1 to 12, and where in the year the day stands, 0 to 1. */
const monthOf = (day: string) => Number(day.slice(5, 7))
const placeOf = (day: string) => (monthOf(day) - 1 + (Number(day.slice(8, 10)) - 0.5) / 30.5) / MONTHS
const monthAt = (place: number) => (Math.floor((((place % 1) + 1) % 1) * MONTHS) % MONTHS) + 1

/** Piles that follow the seasons: a wave of one year through their shares, held against all piles together, largest first. */
export function seasonsOf(shares: readonly SeasonShare[]): Season[] {
  const asked = [...groupBy(shares, ({ item, style, pile }) => JSON.stringify([item, style, pile])).values()].flatMap(
    (sharesOfPile) => {
      const months = new Set(sharesOfPile.map(({ day }) => monthOf(day)))
      if (sharesOfPile.length < MIN_RECORDS || months.size < MIN_MONTHS) return []
      const wave = yearlySwing(
        sharesOfPile.map(({ day }) => placeOf(day)),
        sharesOfPile.map(({ share }) => share),
      )
      return wave ? [{ own: sharesOfPile, wave }] : []
    },
  )
  const corrected = holm(asked.map(({ wave }) => wave.p))
  return asked
    .flatMap(({ own: sharesOfPile, wave }, index): Season[] => {
      const p = corrected[index] as number
      if (p >= LEVEL || wave.swing < MIN_SWING) return []
      const [{ item, style, pile, name }] = sharesOfPile as [SeasonShare]
      const [most, least] = [monthAt(wave.highest), monthAt(wave.highest + 0.5)]
      return [
        {
          item,
          style,
          pile,
          name,
          records: sharesOfPile.length,
          most,
          least,
          swing: wave.swing,
          p,
          months: monthsOf(sharesOfPile),
        },
      ]
    })
    .sort((a, b) => b.swing - a.swing)
}

function monthsOf(sharesOfPile: readonly SeasonShare[]): Season['months'] {
  const byMonth = groupBy(sharesOfPile, ({ day }) => day.slice(5, 7))
  return [...byMonth]
    .map(([month, records]) => {
      const { n, mean } = momentsOf(records.map(({ share }) => share))
      return { month: Number(month), records: n, mean }
    })
    .sort((a, b) => a.month - b.month)
}
