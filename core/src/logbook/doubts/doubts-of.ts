import { median, usualOf } from '../../statistics/index.ts'
import { groupBy } from '../group-by.ts'
import type { Doubt, DoubtContainer, DoubtRecord } from './doubt.ts'
import { PRICE_FACTORS, UNIT_FACTORS } from './factors.ts'
import { FAR, FAR_SHARE, MIN_USUAL, pilesOff } from './piles.ts'

/** So near to a factor a price is taken for it. */
const NEAR_FACTOR = 0.08
/** Animals of a kind spread more than prices, and a factor of 2.2 is near to nothing else. */
const NEAR_WEIGHT = 0.12
const MIN_MINUTES = 8
const QUARTER = 0.25
const MIN_PRICES = 4
/** Records of the same kind are held against each other from so many on. */
const MIN_WEIGHTS = 4

/**
 * Records that cannot be right, each with its reason, in the order of the records. Nothing is changed by it. A record
 * that somebody has settled is not doubted for it again. Records of one item are held against each other alone: those
 * of another may be asked about by themselves.
 */
export function doubtsOf(records: readonly DoubtRecord[], containers: readonly DoubtContainer[] = []): Doubt[] {
  const byStyle = groupBy(records, ({ item, style }) => JSON.stringify([item, style]))
  const byItem = groupBy(records, ({ item }) => item)
  const doubts = new Map<string, Doubt[]>(records.map(({ id }) => [id, []]))
  const add = (doubt: Doubt) => doubts.get(doubt.id)?.push(doubt)
  const ofPiles = [...byStyle.values()].flatMap((ofStyle) => pilesOff(ofStyle, containers))
  const doubted = new Set(ofPiles.map(({ id }) => id))
  for (const { id, balance, isSettled, twice } of records) {
    // A pile that says why says more than the weights that do not add up, and than the yield that it moves.
    if (balance !== 'ok' && !isSettled && !doubted.has(id)) add({ kind: 'balance', id, balance })
    for (const takenTwice of twice) add({ kind: 'twice', id, ...takenTwice })
  }
  ofPiles.forEach(add)
  doubles(records).forEach(add)
  for (const ofStyle of byStyle.values()) {
    minutesOff(ofStyle).forEach(add)
    for (const doubt of yieldsOff(ofStyle)) if (!doubted.has(doubt.id)) add(doubt)
  }
  for (const ofItem of byItem.values()) {
    pricesOff(ofItem).forEach(add)
    weightsOff(ofItem).forEach(add)
  }
  return records.flatMap(({ id, settled }) => (doubts.get(id) ?? []).filter(({ kind }) => !settled.includes(kind)))
}

/** The later of two alike is the one that is doubted; where nobody is named they have to yield the same too. */
function doubles(records: readonly DoubtRecord[]): Doubt[] {
  const alike = groupBy(records, ({ item, day, ap, cook, portionYield }) =>
    JSON.stringify([item, day, ap, cook, cook === null ? portionYield : null]),
  )
  return [...alike.values()].flatMap(([first, ...others]) =>
    others.map(({ id }): Doubt => ({ kind: 'double', id, of: (first as DoubtRecord).id })),
  )
}

function minutesOff(records: readonly DoubtRecord[]): Doubt[] {
  const timed = records.flatMap(({ id, minutesPerUnit }) => (minutesPerUnit === null ? [] : [{ id, minutesPerUnit }]))
  if (timed.length < MIN_MINUTES) return []
  const usual = median(timed.map(({ minutesPerUnit }) => minutesPerUnit))
  return timed.flatMap(({ id, minutesPerUnit }): Doubt[] =>
    minutesPerUnit < usual * QUARTER ? [{ kind: 'minutes', id, minutes: minutesPerUnit, usual }] : [],
  )
}

function pricesOff(records: readonly DoubtRecord[]): Doubt[] {
  const priced = records.flatMap(({ id, pricePerKg }) =>
    pricePerKg === null || pricePerKg <= 0 ? [] : [{ id, pricePerKg }],
  )
  if (priced.length < MIN_PRICES) return []
  const usual = median(priced.map(({ pricePerKg }) => pricePerKg))
  return priced.flatMap(({ id, pricePerKg }): Doubt[] => {
    const ratio = pricePerKg / usual
    const factor = PRICE_FACTORS.find((priceFactor) => Math.abs(ratio / priceFactor - 1) <= NEAR_FACTOR)
    return factor === undefined ? [] : [{ kind: 'price', id, price: pricePerKg, usual, factor }]
  })
}

/** One unit that weighs as if it were weighed in another unit. */
function weightsOff(records: readonly DoubtRecord[]): Doubt[] {
  const weighed = records.flatMap(({ id, unitWeight }) => (unitWeight === null ? [] : [{ id, unitWeight }]))
  if (weighed.length < MIN_WEIGHTS) return []
  const usual = median(weighed.map(({ unitWeight }) => unitWeight))
  return weighed.flatMap(({ id, unitWeight }): Doubt[] => {
    const factor = UNIT_FACTORS.find((unitFactor) => Math.abs(unitWeight / usual / unitFactor - 1) <= NEAR_WEIGHT)
    return factor === undefined ? [] : [{ kind: 'weight', id, weight: unitWeight, usual, factor }]
  })
}

/** Of a record whose weights do not add up that is said already. */
function yieldsOff(records: readonly DoubtRecord[]): Doubt[] {
  const sound = records.filter(({ balance }) => balance === 'ok')
  if (sound.length < MIN_USUAL) return []
  const { usual, sd } = usualOf(sound.map(({ portionYield }) => portionYield))
  return sound.flatMap(({ id, portionYield }): Doubt[] => {
    const off = Math.abs(portionYield - usual)
    return off > FAR * sd && off > FAR_SHARE ? [{ kind: 'yield', id, portionYield, usual }] : []
  })
}
