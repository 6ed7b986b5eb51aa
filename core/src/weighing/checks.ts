import {
  type FabricationDocument,
  isUncounted,
  type Limits,
  type PlannedPile,
  piecesIn,
  weigh,
} from '../fabrication/index.ts'
import type { Reading } from '../facts/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'
import { expectedReading } from './likeness.ts'

/** Pounds typed where kilos were meant, or the other way round, make a weight wrong by this factor. */
const POUNDS_FOR_KILOS = GRAMS_PER_KILOGRAM / GRAMS_PER_POUND
/** How near to that factor a weight must be, as a share of it, to be asked about. */
const UNIT_TOLERANCE = 0.07
/** A decimal mark in the wrong place, or grams for kilos: off by one of these factors, either way. */
const SLIPS = [10, 100, 1000] as const
/** How near to such a factor a weight must be, as a factor either way. */
const SLIP_TOLERANCE = 1.5
/** Pieces whose mean is further from what is expected than this factor were counted wrongly. */
const COUNT_FACTOR = 1.6
/** The same weight on the same pile within this time was probably taken twice, milliseconds. */
const TWICE_WITHIN_MS = 1_000
/** From this many pieces on, their mean says something. */
const FEWEST_FOR_MEAN = 3
/** So many times what came in, or all piles weighed and so small a part of it: the weight on the invoice is wrong. */
const FAR_OVER = 1.5
const FAR_UNDER = 0.25
/** A mean further than this share from what the style expects is asked about. */
const FAR_SHARE = 0.2

export type CheckCode =
  | 'invoice-weight'
  | 'heavier-than-whole'
  | 'taken-twice'
  | 'wrong-unit'
  | 'decimal-slip'
  | 'count-does-not-fit'
  | 'far-from-expected'
  | 'balance-over'
  | 'balance-lost'

/** Something that looks wrong while weighing, with the numbers involved; asked about, never blocking. */
export interface WeighingCheck {
  code: CheckCode
  /** Id of the reading in question; null where it is about the whole. */
  readingId: string | null
  pileId: string | null
  /** What was weighed, grams: one reading, a mean, or what came out in all. */
  grams: number
  /** What it is held against, grams. */
  against: number
}

export interface CheckInput {
  piles: readonly PlannedPile[]
  /** Readings that stand, in the order they were taken. */
  standing: readonly Reading[]
  document: FabricationDocument
  limits: Limits
  /** True once every pile has a weighing: only then can weight be missing. */
  isAllWeighed: boolean
}

/**
 * Everything that looks wrong now, the newest reading first, then piles, then the balance. Where the weight on the
 * invoice cannot be right that alone is asked: everything else is held against it.
 */
export function weighingChecks(input: CheckInput): WeighingCheck[] {
  const invoice = invoiceDoubt(input)
  if (invoice) return [invoice]
  return [...readingChecks(input), ...meanChecks(input), ...balanceChecks(input)]
}

/** Asked where the weight on the invoice cannot be right beside what was weighed; null where it can. */
export function invoiceDoubt({
  document,
  limits,
  isAllWeighed,
  standing,
}: Omit<CheckInput, 'piles'>): WeighingCheck | null {
  if (document.confirmed) return null
  const { out, received, purge } = weigh(document, undefined, limits)
  const against = received - purge
  const isOver = out > FAR_OVER * against && standing.length > 1
  const isUnder = isAllWeighed && out < FAR_UNDER * against
  return isOver || isUnder ? { code: 'invoice-weight', readingId: null, pileId: null, grams: out, against } : null
}

function readingChecks({ piles, standing, document }: CheckInput): WeighingCheck[] {
  const ap = document.purchase.invoiceWeight
  const byId = new Map(piles.map((pile) => [pile.id, { pile, expected: expectedReading(pile, ap) }]))
  const lastOf = new Map<string, Reading>()
  const found: WeighingCheck[] = []
  for (const reading of standing) {
    const planned = byId.get(reading.pileId)
    const before = lastOf.get(reading.pileId)
    lastOf.set(reading.pileId, reading)
    if (!planned) continue
    const { pile, expected } = planned
    const doubt = (code: CheckCode, against: number) =>
      found.push({ code, readingId: reading.id, pileId: pile.id, grams: reading.grams, against })
    if (reading.grams > ap) doubt('heavier-than-whole', ap)
    else if (before && isTwice(before, reading)) doubt('taken-twice', before.grams)
    else if (expected !== null && !isUncounted(pile, reading)) {
      const pieces = piecesIn(pile, reading)
      const code = doubtOf(reading.grams / pieces, expected, pile, pieces > 1)
      if (code) doubt(code, expected * pieces)
    }
  }
  return found.reverse()
}

const isTwice = (before: Reading, after: Reading) =>
  before.grams === after.grams && Math.abs(Date.parse(after.takenAt) - Date.parse(before.takenAt)) < TWICE_WITHIN_MS

/** What looks wrong with the weight of one piece, or the mean of several, beside what is expected of one, grams. */
function doubtOf(grams: number, expected: number, pile: PlannedPile, isMean: boolean): CheckCode | null {
  const off = Math.max(grams / expected, expected / grams)
  if (SLIPS.some((slip) => off > slip / SLIP_TOLERANCE && off < slip * SLIP_TOLERANCE)) return 'decimal-slip'
  if (isMean) return off > COUNT_FACTOR ? 'count-does-not-fit' : null
  return isWrongUnit(grams, expected, pile) ? 'wrong-unit' : null
}

/** Wrong by the factor between pound and kilo, either way, and not within the portion's bounds. */
function isWrongUnit(grams: number, expected: number, { low, high }: PlannedPile): boolean {
  if (low !== null && high !== null && grams >= low && grams <= high) return false
  const isNear = (factor: number) => Math.abs(grams / expected / factor - 1) < UNIT_TOLERANCE
  return isNear(POUNDS_FOR_KILOS) || isNear(1 / POUNDS_FOR_KILOS)
}

function meanChecks({ piles, standing, document }: CheckInput): WeighingCheck[] {
  const ap = document.purchase.invoiceWeight
  const sums = new Map(piles.map((pile) => [pile.id, { grams: 0, count: 0 }]))
  const byId = new Map(piles.map((pile) => [pile.id, pile]))
  for (const reading of standing) {
    const sum = sums.get(reading.pileId)
    const pile = byId.get(reading.pileId)
    // Of pieces weighed together the number was asked about already.
    if (!sum || !pile || piecesIn(pile, reading) > 1) continue
    sum.grams += reading.grams
    sum.count++
  }
  return piles.flatMap((pile) => {
    const expected = expectedReading(pile, ap)
    const { grams, count } = sums.get(pile.id) as { grams: number; count: number }
    if (pile.weighing !== 'pieces' || expected === null || count < FEWEST_FOR_MEAN) return []
    const mean = grams / count
    if (Math.abs(mean / expected - 1) <= FAR_SHARE) return []
    return [{ code: 'far-from-expected' as const, readingId: null, pileId: pile.id, grams: mean, against: expected }]
  })
}

function balanceChecks({ document, limits, isAllWeighed }: CheckInput): WeighingCheck[] {
  if (document.confirmed) return []
  const { balance, out, received, purge } = weigh(document, undefined, limits)
  const about = { readingId: null, pileId: null, grams: out, against: received - purge }
  if (balance === 'over') return [{ ...about, code: 'balance-over' }]
  return balance === 'lost' && isAllWeighed ? [{ ...about, code: 'balance-lost' }] : []
}
