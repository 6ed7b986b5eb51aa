import type { Price } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_OUNCE, GRAMS_PER_POUND } from '../units/index.ts'

/** What was said of a batch before anything is weighed, grams; null where nobody has said it. */
export interface StartSaid {
  units: number | null
  invoiceWeight: number | null
  receivedWeight: number | null
  /** What one unit of this kind weighs. */
  unitWeight: { low: number; usual: number; high: number }
  price: Price | null
  /** What was paid last for the same, in whatever unit; null where nobody knows. */
  lastPrice: Price | null
}

/** Something that looks wrong in what was said of a batch; asked about, never blocking. */
export type StartDoubt =
  /** One unit would weigh `each`, far from its kind's; `meant` is the invoice weight in another unit that fits, if any. */
  | { code: 'unit-weight'; unitWeight: number; meant: number | null }
  /** What was received is far from what the invoice says. */
  | { code: 'received-weight'; share: number }
  /** A price far from the last one in the same unit. */
  | { code: 'price'; amount: number; last: Price }

/** A unit may be lighter or heavier than its kind by this factor before it is asked about. */
const FAR_FACTOR = 1.5
/** A price may be so many times the last one, or its part, before it is asked about. */
const FAR_PRICE = 3
/** Typed in one unit and meant in another: grams for kilos, for pounds, for ounces, and the other way round. */
const UNIT_SLIPS = [GRAMS_PER_KILOGRAM, GRAMS_PER_POUND, GRAMS_PER_OUNCE, 1 / GRAMS_PER_KILOGRAM] as const
/** More than this share of the invoice came, or less than that: a weight or a unit is wrong. */
const MAX_RECEIVED = 1.05
const MIN_RECEIVED = 0.7

/** What to ask about a batch, the most pressing first. */
export function startDoubts(said: StartSaid): StartDoubt[] {
  return [...weightDoubts(said), ...priceDoubts(said)]
}

function priceDoubts({ price, lastPrice }: StartSaid): StartDoubt[] {
  if (!price || !lastPrice || price.per !== lastPrice.per || lastPrice.amount <= 0 || price.amount <= 0) return []
  const factor = price.amount / lastPrice.amount
  return factor > FAR_PRICE || factor < 1 / FAR_PRICE ? [{ code: 'price', amount: price.amount, last: lastPrice }] : []
}

function weightDoubts({ units, invoiceWeight, receivedWeight, unitWeight }: StartSaid): StartDoubt[] {
  if (invoiceWeight === null || invoiceWeight <= 0) return []
  const doubts: StartDoubt[] = []
  const isFar = (grams: number) => grams < unitWeight.low / FAR_FACTOR || grams > unitWeight.high * FAR_FACTOR
  const perUnit = units !== null && units > 0 ? invoiceWeight / units : null
  if (perUnit !== null && isFar(perUnit)) {
    const slip = UNIT_SLIPS.find((factor) => !isFar(perUnit * factor))
    doubts.push({ code: 'unit-weight', unitWeight: perUnit, meant: slip === undefined ? null : invoiceWeight * slip })
  }
  const share = receivedWeight === null ? 1 : receivedWeight / invoiceWeight
  if (share > MAX_RECEIVED || share < MIN_RECEIVED) doubts.push({ code: 'received-weight', share })
  return doubts
}
