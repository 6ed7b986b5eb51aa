import type { Rack, RackRequest } from './rack-request.ts'

/** One rib and its gap on a usual rack, mm. */
const USUAL_PITCH = 25

/** A cut between two ribs. */
export interface RackCut {
  /** The gap, by the number of ribs before it. */
  gap: number
  /** Units by which the blade leaves the middle of the gap: above zero towards the thin end. */
  shift: number
  /**
   * Millimetres by which the blade comes out beside the middle of the gap, having gone in there at the bones: it leans
   * evenly, so that half of it is the shift of the meat. Above zero towards the thin end.
   */
  out: number
}

/** Millimetres of one rib and its gap. */
export const ribPitch = ({ bones, length = bones * USUAL_PITCH }: Pick<Rack, 'bones' | 'length'>): number =>
  length / bones

/** The cuts of one rack, by its boundaries; its ends are no cuts. */
export const rackCuts = (rack: Pick<Rack, 'bones' | 'length'>, boundaries: readonly number[]): RackCut[] =>
  boundaries
    .filter((place) => place > 0 && place < rack.bones)
    .map((place) => {
      const gap = Math.round(place)
      const shift = place - gap
      return { gap, shift, out: 2 * shift * ribPitch(rack) }
    })

/** Grams of meat from the loin end to a place in units, spread evenly over each unit. */
export function meatTo({ weight, boneWeight, eye }: Rack, place: number): number {
  const total = eye.reduce((sum, size) => sum + size, 0)
  const meat = weight - boneWeight
  const whole = Math.min(eye.length, Math.floor(place))
  const before = eye.slice(0, whole).reduce((sum, size) => sum + size, 0)
  const part = whole < eye.length ? (eye[whole] as number) * (place - whole) : 0
  return (meat * (before + part)) / total
}

/** Grams of the portion between two boundaries; a rib's bone goes with the unit whose middle lies between them. */
export function rackPortionWeight(rack: Rack, from: number, to: number): number {
  const ribs = Math.round(to) - Math.round(from)
  return meatTo(rack, to) - meatTo(rack, from) + (rack.boneWeight / rack.bones) * ribs
}

/** Weight of each rib with its bone, cut straight. */
export const ribWeights = (rack: Rack): number[] =>
  Array.from({ length: rack.bones }, (_, rib) => rackPortionWeight(rack, rib, rib + 1))

/** Straight boundaries of equal runs, from the loin end; odd ribs stay beyond the last. */
export const straightBoundaries = ({ bones }: Rack, perPortion: number): number[] =>
  Array.from({ length: Math.floor(bones / perPortion) + 1 }, (_, index) => index * perPortion)

/** How far portions are from what is wanted: how many are out of bounds, then how far from the target. */
export interface RackScore {
  within: number
  deviation: number
}

/** How many weights are within the bounds, and grams that all are off the target. */
export function scoreOf(
  weights: readonly number[],
  { low, high, target }: Pick<RackRequest, 'low' | 'high' | 'target'>,
): RackScore {
  const inside = weights.filter((weight) => weight >= low - 1e-9 && weight <= high + 1e-9)
  return { within: inside.length, deviation: weights.reduce((sum, weight) => sum + Math.abs(weight - target), 0) }
}

/** Whether one score is better than another. */
export const isBetter = (one: RackScore, other: RackScore): boolean =>
  one.within > other.within || (one.within === other.within && one.deviation < other.deviation - 1e-9)

/** Grams between the lightest and the heaviest; null where there is none. */
export const spreadOf = (weights: readonly number[]): number | null =>
  weights.length === 0 ? null : Math.max(...weights) - Math.min(...weights)
