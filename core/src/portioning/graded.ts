import { meatTo, straightBoundaries } from './rack.ts'
import type { Rack } from './rack-request.ts'

/** Units by which the blade can leave the middle of a gap, either way. */
const MAX_SHIFT = 0.2
const ROUNDS = 60

type Range = [least: number, most: number]

/** Meat before each boundary of a rack: where it may lie, and what bones add to every portion. */
interface Runs {
  rack: Rack
  straight: number[]
  ranges: Range[]
  bone: number
}

/**
 * Boundaries of equal runs of ribs, each inner one moved by up to a fifth of a unit so that heaviest minus
 * lightest of all racks together is least. Weights are linear in the meat before each boundary, so that the
 * least spread is a convex function of the lightest weight: it is found by narrowing, and the cuts that
 * reach it lie as near to straight as they can. The outer ends of a run stay.
 */
export function gradedBoundaries(racks: readonly Rack[], perPortion: number): number[][] {
  const all = racks.map((rack) => runsOf(rack, perPortion))
  const heaviestRack = Math.max(...racks.map((rack) => rack.weight))
  const isReached = (lightest: number, spread: number) => all.every((runs) => reach(runs, lightest, lightest + spread))
  const leastSpreadAt = (lightest: number) => {
    let [low, high] = [0, heaviestRack]
    for (let round = 0; round < ROUNDS; round++) {
      const middle = (low + high) / 2
      if (isReached(lightest, middle)) high = middle
      else low = middle
    }
    return high
  }
  let [from, to] = [0, heaviestRack]
  for (let round = 0; round < ROUNDS; round++) {
    const [one, other] = [from + (to - from) / 3, to - (to - from) / 3]
    if (leastSpreadAt(one) <= leastSpreadAt(other)) to = other
    else from = one
  }
  const lightest = (from + to) / 2
  const heaviest = lightest + leastSpreadAt(lightest)
  return all.map((runs) => {
    const reached = reach(runs, lightest, heaviest)
    return reached ? nearestToStraight(runs, reached, lightest, heaviest) : runs.straight
  })
}

function runsOf(rack: Rack, perPortion: number): Runs {
  const straight = straightBoundaries(rack, perPortion)
  const last = straight.length - 1
  const ranges = straight.map((place, index): Range => {
    const shift = index === 0 || index === last ? 0 : MAX_SHIFT
    return [meatTo(rack, place - shift), meatTo(rack, place + shift)]
  })
  return { rack, straight, ranges, bone: (rack.boneWeight / rack.bones) * perPortion }
}

/** Weights this close together are the same: halving and adding leaves no more. */
const NEAR = 1e-9

/** Meat before each boundary that portions between two weights can reach; null where they cannot. */
function reach({ ranges, bone }: Runs, lightest: number, heaviest: number): Range[] | null {
  const reached: Range[] = [ranges[0] as Range]
  for (let at = 1; at < ranges.length; at++) {
    const [low, high] = reached[at - 1] as Range
    const [least, most] = ranges[at] as Range
    const next: Range = [Math.max(least, low + lightest - bone), Math.min(most, high + heaviest - bone)]
    if (next[0] > next[1] + NEAR) return null
    reached.push(next)
  }
  return reached
}

/** Reads the boundaries back from the far end, each as near to its gap as the next one leaves it. */
function nearestToStraight(
  { rack, straight, bone }: Runs,
  reached: readonly Range[],
  lightest: number,
  heaviest: number,
): number[] {
  const last = straight.length - 1
  const boundaries = [...straight]
  let meat = meatTo(rack, straight[last] as number)
  for (let at = last - 1; at > 0; at--) {
    const [low, high] = reached[at] as Range
    const [least, most] = [Math.max(low, meat - heaviest + bone), Math.min(high, meat - lightest + bone)]
    const requested = meatTo(rack, straight[at] as number)
    meat = Math.min(Math.max(requested, least), Math.max(least, most))
    boundaries[at] = placeOf(rack, meat)
  }
  return boundaries
}

/** The place in units before which so much meat lies. */
function placeOf(rack: Rack, meat: number): number {
  for (let unit = 0; unit < rack.bones; unit++) {
    const [from, to] = [meatTo(rack, unit), meatTo(rack, unit + 1)]
    if (meat <= to + NEAR) return unit + Math.min(1, Math.max(0, (meat - from) / (to - from)))
  }
  return rack.bones
}
