import { expectedWeight, type PlannedPile } from '../fabrication/index.ts'
import { GRAMS_PER_POUND, type WeightSystem, type WeightUnit } from '../units/index.ts'
import { weighingsOf } from './sequence.ts'

/** How far off a piece may be, as a factor either way, and still look like one of a pile. */
const LIKE_FACTOR = 1.3
/** A pile must be nearer than the next one by this factor before a weight is said to look like it. */
const CLEAR_FACTOR = 1.25

export interface LikenessInput {
  piles: readonly PlannedPile[]
  /** Invoice weight of the batch, grams. */
  ap: number
  /** Weighings that stand, by the id of the pile: a complete pile wants nothing more. */
  counts: ReadonlyMap<string, number>
}

/** Grams to expect of the next weighing of a pile: of one piece, or of the pile where it is weighed whole. */
export function expectedReading(pile: PlannedPile, ap: number): number | null {
  if (pile.weighing === 'pieces' && pile.target !== null) return pile.target
  const whole = expectedWeight(pile, ap)
  return whole === null ? null : whole / weighingsOf(pile)
}

/**
 * The unit of a bare number that is typed for a pile: grams; where pounds are weighed, pounds, and ounces for what is
 * told in ounces because one of it weighs less than a pound.
 */
export function bareUnitFor(system: WeightSystem, pile: PlannedPile, ap: number): WeightUnit {
  if (system === 'metric') return 'g'
  const expected = expectedReading(pile, ap)
  return expected !== null && expected < GRAMS_PER_POUND ? 'oz' : 'lb'
}

/** How far a weight is from what the pile expects, as a factor of at least 1; null where nothing is known. */
function distance(pile: PlannedPile, grams: number, ap: number): number | null {
  const expected = expectedReading(pile, ap)
  if (expected === null || expected <= 0 || grams <= 0) return null
  return Math.max(grams / expected, expected / grams)
}

/** True where a weight could be one of this pile's; also where nothing is known of the pile. */
export function looksLike(pile: PlannedPile, grams: number, ap: number): boolean {
  if (pile.low !== null && pile.high !== null && grams >= pile.low && grams <= pile.high) return true
  const away = distance(pile, grams, ap)
  return away === null || away <= LIKE_FACTOR
}

/**
 * The pile that a load looks like, by size alone, among those that want more: "looks like a drumstick".
 * `gramsOf` says what the load would weigh for a pile, whose container is taken off. Null where none is
 * near, or where two are about as near.
 */
export function pileBySize(
  { piles, ap, counts }: LikenessInput,
  gramsOf: (pile: PlannedPile) => number,
): PlannedPile | null {
  const ranked = piles
    // What is thrown away has no size of its own.
    .filter((pile) => pile.class !== 'waste' && (counts.get(pile.id) ?? 0) < weighingsOf(pile))
    .flatMap((pile) => {
      const away = distance(pile, gramsOf(pile), ap)
      return away === null ? [] : [{ pile, away }]
    })
    .sort((a, b) => a.away - b.away)
  const [best, second] = ranked
  if (!best || best.away > LIKE_FACTOR) return null
  return second && second.away / best.away < CLEAR_FACTOR ? null : best.pile
}
