import { addDays, type Day, daysBetween } from '../calendar/index.ts'
import { holm, welchTest } from '../statistics/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { type Attribution, attributionsOf } from './attribution.ts'

/** One record as far as it says whether something changed. Counted records only. */
export interface ChangeRecord {
  day: Day
  /** Ids or written names. */
  item: string
  style: string
  cook: string | null
  supplier: string | null
  /** Grams. */
  ap: number
  primaryWeight: number
  portionYield: number
  minutesPerUnit: number | null
  /** Net cost. */
  spent: number
}

/** Something that is not what it was, beyond what chance would do among all that was asked. */
export interface Change {
  of: 'style' | 'cook' | 'supplier'
  /** Id or written name; of a style its item comes with it. */
  key: string
  item: string | null
  what: 'portion-yield' | 'minutes'
  /** Of the last weeks less of those before: a share, or minutes a unit. */
  difference: number
  recent: { records: number; mean: number }
  before: { records: number; mean: number }
  /** Holm's corrected p-value. */
  p: number
  /** Money a week that the difference is worth, above zero where it brings; null for minutes. */
  moneyPerWeek: number | null
  /** Kilos as purchased that are cut in a week, and what a kilo of portions costs. */
  kilosPerWeek: number
  costPerKg: number
  /** First day of the last weeks on which it was cut. */
  since: Day
  /** Of a style: whose change it is, by supplier and by cook, as far as records tell. */
  attributions: Attribution[]
}

export interface WhatChanged {
  changes: Change[]
  /** How many comparisons were made. */
  tests: number
}

const RECENT_DAYS = 28
const BEFORE_DAYS = 84
const MIN_RECORDS = 4
const LEVEL = 0.05
const DAYS_PER_WEEK = 7

interface Sample {
  record: ChangeRecord
  value: number
}

interface Asked {
  of: Change['of']
  key: string
  item: string | null
  what: Change['what']
  recent: Sample[]
  before: Sample[]
}

/**
 * The last four weeks against the twelve before, by style, cook and supplier, in yield and in minutes. A cook's and a
 * supplier's figures are taken less the mean of the item and style in both periods, so that another mix is no change.
 * `today` is the last day that counts.
 */
export function whatChanged(records: readonly ChangeRecord[], today: Day): WhatChanged {
  const firstRecent = addDays(today, 1 - RECENT_DAYS)
  const firstBefore = addDays(firstRecent, -BEFORE_DAYS)
  const recent = records.filter(({ day }) => day >= firstBefore && day <= today)
  const asked = (['portion-yield', 'minutes'] as const).flatMap((what) => askedOf(recent, what, firstRecent))
  const tested = asked.flatMap((request) => {
    if (request.recent.length < MIN_RECORDS || request.before.length < MIN_RECORDS) return []
    const test = welchTest(valuesOf(request.recent), valuesOf(request.before))
    return test ? [{ ...request, test }] : []
  })
  const corrected = holm(tested.map(({ test }) => test.p))
  const sure = tested.flatMap((change, index) => {
    const p = corrected[index] as number
    return p < LEVEL ? [{ ...change, p }] : []
  })
  const changed = sure.filter((change) => change.of === 'style' || isOwn(change, sure))
  const changes = changed.map((change) => changeOf(change, change.test.difference, change.p, today, firstRecent))
  return { changes: changes.sort(byWorth), tests: tested.length }
}

/** A cook's or a supplier's change that is but that of one style which changed itself is told once: by the style. */
function isOwn(asked: Asked, sure: readonly Asked[]): boolean {
  const changed = new Set(
    sure.flatMap(({ of, what, recent }) =>
      of === 'style' && what === asked.what ? recent.slice(0, 1).map(({ record }) => comparable(record)) : [],
    ),
  )
  const among = new Set(asked.recent.map(({ record }) => comparable(record)).filter((style) => changed.has(style)))
  // Where several of her styles changed, she is what they have in common.
  if (among.size !== 1) return true
  const others = (samples: readonly Sample[]) =>
    valuesOf(samples.filter(({ record }) => !among.has(comparable(record))))
  const [recent, before] = [others(asked.recent), others(asked.before)]
  if (recent.length < MIN_RECORDS || before.length < MIN_RECORDS) return false
  const test = welchTest(recent, before)
  return test !== null && test.p < LEVEL
}

const valuesOf = (samples: readonly Sample[]) => samples.map(({ value }) => value)
const meanOf = (samples: readonly Sample[]) => valuesOf(samples).reduce((sum, value) => sum + value, 0) / samples.length
const ORDER = ['style', 'cook', 'supplier'] as const
const cents = ({ moneyPerWeek }: Change) => Math.round(Math.abs(moneyPerWeek ?? 0) * 100)
/** What is worth most comes first, minutes after money; of the same worth the style speaks before who cut it. */
const byWorth = (a: Change, b: Change) => cents(b) - cents(a) || ORDER.indexOf(a.of) - ORDER.indexOf(b.of) || a.p - b.p

const comparable = ({ item, style }: ChangeRecord) => JSON.stringify([item, style])

/** What is compared of one figure: each style, each cook, each supplier. */
function askedOf(records: readonly ChangeRecord[], what: Change['what'], firstRecent: Day): Asked[] {
  const samples = records.flatMap((record): Sample[] => {
    const value = what === 'minutes' ? record.minutesPerUnit : record.portionYield
    return value === null ? [] : [{ record, value }]
  })
  const usual = new Map<string, number>()
  for (const key of new Set(samples.map(({ record }) => comparable(record)))) {
    usual.set(key, meanOf(samples.filter(({ record }) => comparable(record) === key)))
  }
  const off = samples.map(({ record, value }) => ({ record, value: value - (usual.get(comparable(record)) ?? 0) }))
  const split = (of: Change['of'], among: readonly Sample[], keyOf: (record: ChangeRecord) => string | null) => {
    const keys = new Map<string, Sample[]>()
    for (const sample of among) {
      const key = keyOf(sample.record)
      if (key !== null) keys.set(key, [...(keys.get(key) ?? []), sample])
    }
    return [...keys].map(
      ([key, recordsOfKey]): Asked => ({
        of,
        key: of === 'style' ? (recordsOfKey[0] as Sample).record.style : key,
        item: of === 'style' ? (recordsOfKey[0] as Sample).record.item : null,
        what,
        recent: recordsOfKey.filter(({ record }) => record.day >= firstRecent),
        before: recordsOfKey.filter(({ record }) => record.day < firstRecent),
      }),
    )
  }
  return [
    ...split('style', samples, comparable),
    ...split('cook', off, ({ cook }) => cook),
    ...split('supplier', off, ({ supplier }) => supplier),
  ]
}

const attributed = ({ record: { cook, supplier }, value }: Sample) => ({ cook, supplier, value })

function changeOf(asked: Asked, difference: number, p: number, today: Day, firstRecent: Day): Change {
  const { recent, before, of, key, item, what } = asked
  const sum = (value: (record: ChangeRecord) => number) =>
    recent.reduce((total, { record }) => total + value(record), 0)
  const since = recent.map(({ record }) => record.day).sort()[0] ?? firstRecent
  const weeks = Math.max(1, daysBetween(since, today) + 1) / DAYS_PER_WEEK
  const kilosPerWeek = sum(({ ap }) => ap) / GRAMS_PER_KILOGRAM / weeks
  const primary = sum(({ primaryWeight }) => primaryWeight) / GRAMS_PER_KILOGRAM
  const costPerKg = primary > 0 ? sum(({ spent }) => spent) / primary : 0
  return {
    of,
    key,
    item,
    what,
    difference,
    recent: { records: recent.length, mean: meanOf(recent) },
    before: { records: before.length, mean: meanOf(before) },
    p,
    moneyPerWeek: what === 'portion-yield' ? difference * kilosPerWeek * costPerKg : null,
    kilosPerWeek,
    costPerKg,
    since,
    attributions: of === 'style' ? attributionsOf(recent.map(attributed), before.map(attributed), difference) : [],
  }
}
