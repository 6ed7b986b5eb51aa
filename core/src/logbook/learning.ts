import { type Day, daysBetween } from '../calendar/index.ts'
import { fitAt, fitHalfWidth, type LineFit, lineFit, momentsOf, welchTest } from '../statistics/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { groupBy } from './group-by.ts'
import type { ChangeRecord } from './what-changed.ts'

/** One record as far as it says what a cook learns. Counted records only, oldest first. */
export interface PracticeRecord extends ChangeRecord {
  id: string
  units: number | null
}

/** One cook at one item and style against the others. */
export interface Practice {
  cook: string
  item: string
  style: string
  records: number
  /** Mean portion yields: her own, and that of the others. */
  own: number
  house: number
  othersRecords: number
  /** That she gets less is more than chance. */
  isSure: boolean
  /** Kilos as purchased that she cuts in a week, and what a kilo of her portions costs. */
  kilosPerWeek: number
  costPerKg: number
  /** What the house's yield would bring her work in a week. */
  moneyPerWeek: number
}

/** A cook who gets more out of it, or takes less time, the more she has cut. */
export interface Improvement {
  cook: string
  item: string
  style: string
  what: 'portion-yield' | 'minutes'
  records: number
  /** Units she has cut. */
  units: number
  /** By the fitted curve at her first record and at her last: a share, or minutes a unit. */
  first: number
  last: number
  from: Day
}

/** One record on a cook's curve: at which of her repetitions it stands, in the middle of its own units. */
export interface CurvePoint {
  id: string
  day: Day
  repetition: number
  value: number
  /** The fitted curve there, with the band in which it lies in nine of ten cases; null below three records. */
  fit: number | null
  low: number | null
  high: number | null
}

const MIN_RECORDS = 4
const MIN_CURVE = 6
const LEVEL = 0.05
const DAYS_PER_WEEK = 7

const ofCook = ({ cook, item, style }: PracticeRecord) => JSON.stringify([cook, item, style])
const comparable = ({ item, style }: PracticeRecord) => JSON.stringify([item, style])
const sumOf = (records: readonly PracticeRecord[], value: (record: PracticeRecord) => number) =>
  records.reduce((sum, record) => sum + value(record), 0)

/**
 * Where more practice would pay, what pays most first: (mean of the others − own mean) × her weekly weight × what a kilo
 * of her portions costs. From four records on each side; only where she gets less.
 */
export function practiceOf(records: readonly PracticeRecord[], from: Day, to: Day): Practice[] {
  const weeks = Math.max(1, (daysBetween(from, to) + 1) / DAYS_PER_WEEK)
  const byStyle = groupBy(records, comparable)
  const practices = [...groupBy(records, ofCook).values()].flatMap((mine): Practice[] => {
    const [first] = mine as [PracticeRecord]
    if (first.cook === null) return []
    const others = (byStyle.get(comparable(first)) ?? []).filter(({ cook }) => cook !== first.cook)
    if (mine.length < MIN_RECORDS || others.length < MIN_RECORDS) return []
    const [own, house] = [mine, others].map((list) => momentsOf(list.map(({ portionYield }) => portionYield)).mean)
    if (own === undefined || house === undefined || own >= house) return []
    const test = welchTest(
      mine.map(({ portionYield }) => portionYield),
      others.map(({ portionYield }) => portionYield),
    )
    const kilosPerWeek = sumOf(mine, ({ ap }) => ap) / GRAMS_PER_KILOGRAM / weeks
    const primary = sumOf(mine, ({ primaryWeight }) => primaryWeight) / GRAMS_PER_KILOGRAM
    const costPerKg = primary > 0 ? sumOf(mine, ({ spent }) => spent) / primary : 0
    return [
      {
        cook: first.cook,
        item: first.item,
        style: first.style,
        records: mine.length,
        own,
        house,
        othersRecords: others.length,
        isSure: test !== null && test.p < LEVEL,
        kilosPerWeek,
        costPerKg,
        moneyPerWeek: (house - own) * kilosPerWeek * costPerKg,
      },
    ]
  })
  return practices.sort((a, b) => b.moneyPerWeek - a.moneyPerWeek)
}

/** Who is improving, beyond chance: the curve of yields rises, or that of minutes falls, over six records and more. */
export function improvementsOf(records: readonly PracticeRecord[]): Improvement[] {
  return [...groupBy(records, ofCook).values()].flatMap((mine) => {
    const [{ cook, item, style, day }] = mine as [PracticeRecord]
    if (cook === null) return []
    return (['portion-yield', 'minutes'] as const).flatMap((what): Improvement[] => {
      const places = placesOf(mine, what)
      const fit = places.length < MIN_CURVE ? null : curveFit(places, what)
      if (!fit) return []
      const isBetter = what === 'minutes' ? fit.slope + fit.slopeHalfWidth < 0 : fit.slope - fit.slopeHalfWidth > 0
      const [first, last] = [places[0], places.at(-1)] as [Place, Place]
      if (!isBetter) return []
      const at = (place: Place) => valueAt(fit, place.repetition, what)
      const units = sumOf(mine, (record) => record.units ?? 1)
      return [{ cook, item, style, what, records: places.length, units, first: at(first), last: at(last), from: day }]
    })
  })
}

/** A cook's records at one item and style by her own repetition number, oldest first, with the fitted curve. */
export function learningCurve(records: readonly PracticeRecord[], what: Improvement['what']): CurvePoint[] {
  const places = placesOf(records, what)
  const fit = curveFit(places, what)
  return places.map(({ record, repetition, value }) => {
    const half = fit ? fitHalfWidth(fit, Math.log(repetition)) : 0
    const at = (off: number) => (fit ? valueAt(fit, repetition, what, off) : null)
    return { id: record.id, day: record.day, repetition, value, fit: at(0), low: at(-half), high: at(half) }
  })
}

interface Place {
  record: PracticeRecord
  repetition: number
  value: number
}

function placesOf(records: readonly PracticeRecord[], what: Improvement['what']): Place[] {
  let before = 0
  return records.flatMap((record) => {
    const units = record.units ?? 1
    const repetition = before + (units + 1) / 2
    before += units
    const value = what === 'minutes' ? record.minutesPerUnit : record.portionYield
    return value === null || (what === 'minutes' && value <= 0) ? [] : [{ record, repetition, value }]
  })
}

/** Minutes fall as a power of the repetitions; a yield, which has an end, climbs with their logarithm. */
const curveFit = (places: readonly Place[], what: Improvement['what']): LineFit | null =>
  lineFit(
    places.map(({ repetition }) => Math.log(repetition)),
    places.map(({ value }) => (what === 'minutes' ? Math.log(value) : value)),
  )

function valueAt(fit: LineFit, repetition: number, what: Improvement['what'], off = 0): number {
  const line = fitAt(fit, Math.log(repetition)) + off
  return what === 'minutes' ? Math.exp(line) : line
}
