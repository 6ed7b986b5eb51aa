import { MINUTES_PER_HOUR } from '../costing/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { Piece, Station } from './piece-shape.ts'
import { planPortions } from './plan.ts'
import type { BondedPlan, PortionPlan } from './plan-answer.ts'
import type { BondedCosts, BondedRequest, PortionProduct } from './plan-request.ts'
import { worthOf } from './product.ts'
import { shapeOf, volumeOf } from './profile.ts'

export const DEFAULT_BONDED_COSTS: BondedCosts = {
  enzymeShare: 0.01,
  enzymePerKg: 60,
  film: 0.4,
  minutes: 12,
  wagePerHour: 0,
  settingHours: 8,
  formedShare: 1,
}

/**
 * Two pieces head to tail, the second turned round and beginning `offset` mm from the beginning of the first:
 * their areas add where they lie beside each other. `offset` is from 0 to below the length of the first.
 */
export function bondedPiece([first, second]: readonly [Piece, Piece], offset: number): Piece {
  const [one, other] = [shapeOf(first), shapeOf(second)]
  const end = offset + second.length
  const length = Math.max(first.length, end)
  const places = new Set([...first.profile.map(({ at }) => at), ...second.profile.map(({ at }) => end - at)])
  // Just beside an end the area jumps: a second station there keeps it a step and not a slope.
  for (const edge of [offset, first.length, end]) {
    if (edge > EDGE && edge < length - EDGE) {
      places.add(edge - EDGE)
      places.add(edge + EDGE)
      places.delete(edge)
    }
  }
  const areaOfFirst = (at: number) => (at <= first.length ? one.areaAt(at) : 0)
  const areaOfSecond = (at: number) => (at >= offset && at <= end ? other.areaAt(end - at) : 0)
  // Areas are compared by what they weigh: a fuller piece counts as more.
  const density = second.weight / volumeOf(second.profile) / (first.weight / volumeOf(first.profile))
  const profile = [...places]
    .filter((at) => at >= 0 && at <= length)
    .sort((a, b) => a - b)
    .map((at): Station => ({ at, area: areaOfFirst(at) + areaOfSecond(at) * density }))
  return { weight: first.weight + second.weight, length, profile }
}

const EDGE = 0.5

/** Offsets are tried so far apart, mm, at so coarse a step; then nearer ones around the best. */
const TRIED = 20
const TRIED_NEARER = 5
const COARSE = 4
/** Less than this share of the shorter piece beside the other does not hold together. */
const MIN_OVERLAP = 0.3

interface Tried {
  offset: number
  full: number
  value: number
}

const isBetter = (one: Tried, other: Tried): boolean =>
  one.full > other.full || (one.full === other.full && one.value > other.value)

/** Where the second piece begins for the most full portions, then for the most value. */
function bestOffset({ pieces, ...request }: Omit<BondedRequest, 'costs'>): number {
  const step = Math.max(request.step ?? 1, COARSE)
  const most = Math.floor(pieces[0].length - Math.min(pieces[0].length, pieces[1].length) * MIN_OVERLAP)
  const tryAt = (offset: number): Tried => {
    const plan = planPortions({ ...request, step, piece: bondedPiece(pieces, offset) })
    return { offset, full: fullPortions(plan, request.products), value: plan.value }
  }
  const bestOf = (from: number, to: number, apart: number, first: Tried): Tried => {
    let best = first
    for (let offset = Math.max(0, from); offset <= Math.min(to, most); offset += apart) {
      const tried = tryAt(offset)
      if (isBetter(tried, best)) best = tried
    }
    return best
  }
  const coarse = bestOf(0, most, TRIED, tryAt(most))
  return bestOf(coarse.offset - TRIED + TRIED_NEARER, coarse.offset + TRIED - TRIED_NEARER, TRIED_NEARER, coarse).offset
}

/** What bonding costs, the usual where nothing is said. */
export function bondedCosts(costs: BondedRequest['costs'] = {}): BondedCosts {
  const usual = DEFAULT_BONDED_COSTS
  const {
    enzymeShare = usual.enzymeShare,
    enzymePerKg = usual.enzymePerKg,
    film = usual.film,
    minutes = usual.minutes,
    wagePerHour = usual.wagePerHour,
    settingHours = usual.settingHours,
    formedShare = usual.formedShare,
  } = costs
  return { enzymeShare, enzymePerKg, film, minutes, wagePerHour, settingHours, formedShare }
}

/** Where two pieces are bonded best, and whether that pays against both pieces alone. */
export function planBonded({ pieces, costs, ...request }: BondedRequest): BondedPlan {
  const { enzymeShare, enzymePerKg, film, minutes, wagePerHour, settingHours, formedShare } = bondedCosts(costs)
  const formed = { ...request, products: formedProducts(request.products, formedShare) }
  const offset = bestOffset({ ...formed, pieces })
  const overlap = Math.min(pieces[0].length, offset + pieces[1].length) - offset
  const piece = bondedPiece(pieces, offset)
  const bonded = planPortions({ ...formed, piece })
  const alone = pieces.map((piece) => planPortions({ ...request, piece: piece })) as [PortionPlan, PortionPlan]
  const enzymeGrams = piece.weight * enzymeShare
  const cost = {
    enzyme: (enzymeGrams / GRAMS_PER_KILOGRAM) * enzymePerKg,
    film,
    labour: (minutes / MINUTES_PER_HOUR) * wagePerHour,
  }
  const total = cost.enzyme + cost.film + cost.labour
  const net = bonded.value - total
  const aloneValue = alone[0].value + alone[1].value
  const intactValue = valueOfPieces(request.products, bonded)
  const scrapValue = (bonded.scrap.weight / GRAMS_PER_KILOGRAM) * request.scrap.valuePerKg
  return {
    offset,
    overlap,
    bonded,
    piece,
    alone,
    extraPortions: bonded.pieces.length - alone[0].pieces.length - alone[1].pieces.length,
    enzymeGrams,
    cost: { ...cost, total },
    settingHours,
    net,
    aloneValue,
    aloneScrap: alone[0].scrap.weight + alone[1].scrap.weight,
    gain: net - aloneValue,
    intactValue,
    breakEvenShare: intactValue > 0 ? (aloneValue + total - scrapValue) / intactValue : null,
  }
}

/** Products as a log gives them: each worth its share of the intact one. */
export const formedProducts = (products: BondedRequest['products'], share: number): PortionProduct[] =>
  products.map((product) => ({ ...product, value: product.value * share }))

/** What the portions of a plan are worth at the prices of these products, money. */
export function valueOfPieces(products: BondedRequest['products'], { pieces }: Pick<PortionPlan, 'pieces'>): number {
  const byName = new Map(products.map((product) => [product.name, product]))
  return pieces.reduce((sum, { product, weight }) => {
    const of = byName.get(product)
    return of ? sum + worthOf(of, weight) : sum
  }, 0)
}

/** A portion so near to its target is a full one: nobody sees or weighs the difference on a plate. */
const NEARLY_FULL = 0.97

function fullPortions(plan: PortionPlan, products: BondedRequest['products']): number {
  const targets = new Map(products.map(({ name, target }) => [name, target]))
  return plan.pieces.filter(({ product, weight }) => weight >= (targets.get(product) ?? 0) * NEARLY_FULL).length
}
