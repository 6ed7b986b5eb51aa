import { MINUTES_PER_HOUR } from '../costing/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { type PortionPlan, type PortionWish, planPortions } from './plan.ts'
import { type Piece, type Station, shapeOf } from './profile.ts'

export interface BondedCosts {
  /** Enzyme, as a share of the weight; 0.01 where not given. */
  enzymeShare: number
  enzymePerKg: number
  /** Film for the log, money. */
  film: number
  /** Minutes to bond and wrap, and what an hour costs. */
  minutes: number
  wagePerHour: number
  settingHours: number
}

export const DEFAULT_BONDED_COSTS: BondedCosts = {
  enzymeShare: 0.01,
  enzymePerKg: 60,
  film: 0.4,
  minutes: 12,
  wagePerHour: 0,
  settingHours: 8,
}

export interface BondedWish extends Omit<PortionWish, 'piece'> {
  pieces: readonly [Piece, Piece]
  costs?: { [K in keyof BondedCosts]?: BondedCosts[K] | undefined } | undefined
}

export interface BondedPlan {
  /** Millimetres by which the second, turned round, lies beside the first. */
  overlap: number
  bonded: PortionPlan
  piece: Piece
  alone: [PortionPlan, PortionPlan]
  /** Portions of the bonded log less those of both alone. */
  extraPortions: number
  enzymeGrams: number
  cost: { enzyme: number; film: number; labour: number; total: number }
  settingHours: number
  /** Value of the bonded plan less its costs. */
  net: number
  /** Value and scrap of both alone together. */
  aloneValue: number
  aloneScrap: number
  /** `net` less `aloneValue`: above zero, bonding pays. */
  gain: number
}

/** Two pieces head to tail, the second turned round: their areas add where they lie beside each other. */
export function bondedPiece([first, second]: readonly [Piece, Piece], overlap: number): Piece {
  const [one, other] = [shapeOf(first), shapeOf(second)]
  const length = first.length + second.length - overlap
  const start = first.length - overlap
  const places = new Set([
    ...first.profile.map(({ at }) => at),
    ...second.profile.map(({ at }) => start + second.length - at),
  ])
  // Just beside an end the area jumps: a second station there keeps it a step and not a slope.
  for (const edge of [start, first.length]) {
    if (edge > EDGE && edge < length - EDGE) {
      places.add(edge - EDGE)
      places.add(edge + EDGE)
      places.delete(edge)
    }
  }
  const areaOfFirst = (at: number) => (at <= first.length ? one.areaAt(at) : 0)
  const areaOfSecond = (at: number) => (at >= start ? other.areaAt(second.length - (at - start)) : 0)
  // Areas are compared by what they weigh: a fuller piece counts as more.
  const density = second.weight / volumeOf(second) / (first.weight / volumeOf(first))
  const profile = [...places]
    .filter((at) => at >= 0 && at <= length)
    .sort((a, b) => a - b)
    .map((at): Station => ({ at, area: areaOfFirst(at) + areaOfSecond(at) * density }))
  return { weight: first.weight + second.weight, length, profile }
}

const EDGE = 0.5

function volumeOf(piece: Piece): number {
  const shape = shapeOf(piece)
  let volume = 0
  for (let at = 1; at < piece.profile.length; at++) {
    const [from, to] = [piece.profile[at - 1]?.at as number, piece.profile[at]?.at as number]
    volume += ((shape.areaAt(from) + shape.areaAt(to)) / 2) * (to - from)
  }
  return volume
}

/** Overlaps are tried so far apart, mm, at so coarse a step; the chosen one is planned anew. */
const TRIED = 20
const COARSE = 4
const LEAST_OVERLAP = 0.3

/** The overlap that gives most full portions, then most value, and whether bonding pays against both pieces alone. */
export function planBonded({ pieces, costs = {}, ...wish }: BondedWish): BondedPlan {
  const usual = DEFAULT_BONDED_COSTS
  const {
    enzymeShare = usual.enzymeShare,
    enzymePerKg = usual.enzymePerKg,
    film = usual.film,
    minutes = usual.minutes,
    wagePerHour = usual.wagePerHour,
    settingHours = usual.settingHours,
  } = costs
  const shorter = Math.min(pieces[0].length, pieces[1].length)
  let best: { overlap: number; full: number; value: number } | null = null
  const coarse = Math.max(wish.step ?? 1, COARSE)
  for (let overlap = Math.ceil(shorter * LEAST_OVERLAP); overlap <= shorter; overlap += TRIED) {
    const plan = planPortions({ ...wish, step: coarse, piece: bondedPiece(pieces, overlap) })
    const full = fullPortions(plan, wish.products)
    if (!best || full > best.full || (full === best.full && plan.value > best.value))
      best = { overlap, full, value: plan.value }
  }
  const { overlap } = best as { overlap: number }
  const piece = bondedPiece(pieces, overlap)
  const bonded = planPortions({ ...wish, piece })
  const alone = pieces.map((each) => planPortions({ ...wish, piece: each })) as [PortionPlan, PortionPlan]
  const enzymeGrams = piece.weight * enzymeShare
  const cost = {
    enzyme: (enzymeGrams / GRAMS_PER_KILOGRAM) * enzymePerKg,
    film,
    labour: (minutes / MINUTES_PER_HOUR) * wagePerHour,
  }
  const total = cost.enzyme + cost.film + cost.labour
  const net = bonded.value - total
  const aloneValue = alone[0].value + alone[1].value
  return {
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
  }
}

/** Pieces at their target or above. */
const fullPortions = (plan: PortionPlan, products: BondedWish['products']): number =>
  plan.pieces.filter(
    (piece) => piece.weight >= (products.find(({ name }) => name === piece.product)?.target ?? 0) * 0.97,
  ).length
