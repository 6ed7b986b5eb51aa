import type { FabricationDocument, Price } from '../fabrication/index.ts'
import type { Quantity } from './expression.ts'

/** One assumption that is another in the second of two documents; null where it is not there at all. */
export interface AssumptionChange {
  /** What it is of: a task, a pile or an offer; null for the purchase and the whole. */
  of: string | null
  what:
    | 'price'
    | 'charges'
    | 'invoice weight'
    | 'received weight'
    | 'drained'
    | 'minutes'
    | 'wage'
    | 'bags'
    | 'value'
    | 'used share'
    | 'processing'
    | 'offer price'
    | 'pieces'
    | 'piece weight'
    | 'usable share'
    | 'handling'
    | 'credit policy'
    | 'allocation'
  before: number | string | null
  after: number | string | null
  quantity: Quantity | 'price' | 'words'
  /** What a price is for, before and after. */
  per?: { before: string | null; after: string | null }
}

type Value = number | string | null | undefined

/** What a verdict rests on that is another in `after` than in `before`; weighings are not compared. */
export function assumptionChanges(before: FabricationDocument, after: FabricationDocument): AssumptionChange[] {
  const changes: AssumptionChange[] = []
  const compare = (
    of: string | null,
    what: AssumptionChange['what'],
    quantity: AssumptionChange['quantity'],
    [one, other]: readonly [Value, Value],
  ) => {
    if ((one ?? null) !== (other ?? null)) {
      changes.push({ of, what, quantity, before: one ?? null, after: other ?? null })
    }
  }
  const comparePrice = (of: string | null, what: 'price' | 'offer price', one?: Price, other?: Price) => {
    if (one?.amount === other?.amount && one?.per === other?.per) return
    const per = { before: one?.per ?? null, after: other?.per ?? null }
    changes.push({ of, what, quantity: 'price', before: one?.amount ?? null, after: other?.amount ?? null, per })
  }
  const { purchase: bought } = before
  const { purchase: tried } = after
  comparePrice(null, 'price', bought.price, tried.price)
  compare(null, 'charges', 'money', [bought.extras ?? 0, tried.extras ?? 0])
  compare(null, 'invoice weight', 'weight', [bought.invoiceWeight, tried.invoiceWeight])
  compare(null, 'received weight', 'weight', [bought.receivedWeight, tried.receivedWeight])
  compare(null, 'drained', 'weight', [bought.purge ?? 0, tried.purge ?? 0])
  for (const [name, one, other] of pairs(before.labour, after.labour, (entry) => entry.task)) {
    compare(name, 'minutes', 'minutes', [one?.minutes, other?.minutes])
    compare(name, 'wage', 'money-per-hour', [one?.ratePerHour, other?.ratePerHour])
  }
  for (const [name, one, other] of pairs(before.consumables, after.consumables, (entry) => entry.name)) {
    compare(name, 'bags', 'money', [one?.cost, other?.cost])
  }
  for (const [name, one, other] of pairs(before.piles, after.piles, (pile) => pile.name)) {
    compare(name, 'value', 'money-per-kg', [one?.valuePerKg ?? 0, other?.valuePerKg ?? 0])
    compare(name, 'used share', 'share', [one?.usedShare ?? 1, other?.usedShare ?? 1])
    compare(name, 'processing', 'money-per-kg', [one?.processingPerKg ?? 0, other?.processingPerKg ?? 0])
  }
  for (const [name, one, other] of pairs(before.offers, after.offers, (offer) => offer.name)) {
    comparePrice(name, 'offer price', one?.price, other?.price)
    if (!one || !other) continue
    compare(name, 'pieces', 'count', [one.pieces, other.pieces])
    compare(name, 'piece weight', 'weight', [one.pieceWeight, other.pieceWeight])
    compare(name, 'usable share', 'share', [one.usableShare ?? 1, other.usableShare ?? 1])
    const handling = [one.handlingMinutesPerPiece ?? 0, other.handlingMinutesPerPiece ?? 0] as const
    compare(name, 'handling', 'minutes', handling)
    compare(name, 'charges', 'money', [one.extras ?? 0, other.extras ?? 0])
  }
  compare(null, 'credit policy', 'words', [before.creditPolicy, after.creditPolicy])
  compare(null, 'allocation', 'words', [before.allocation, after.allocation])
  return changes
}

/** Entries of two lists by their names, in the order of the first and then of what is new in the second. */
function pairs<T>(
  before: readonly T[] = [],
  after: readonly T[] = [],
  nameOf: (entry: T) => string,
): [string, T | undefined, T | undefined][] {
  const names = [...new Set([...before, ...after].map(nameOf))]
  const named = (list: readonly T[], name: string) => list.find((item) => nameOf(item) === name)
  return names.map((name) => [name, named(before, name), named(after, name)])
}
