import { type Explanation, KILO, over, times, value } from '../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { Piece, Station } from './piece-shape.ts'
import { shapeOf, volumeOf } from './profile.ts'

/** What is taken off a fillet before it is portioned. Places in mm from its thick end. */
export interface FilletTrim {
  /** Share of each cross section that is belly, between two places; it is cut off along the fillet. */
  belly?: { share: number; from: number; to: number; valuePerKg?: number | undefined } | undefined
  /** V-notch along the pin bones: a triangle so wide and deep at the surface. */
  notch?: { from: number; to: number; width: number; depth: number } | undefined
}

export interface TrimmedFillet {
  /** What is left to be portioned: loin and tail. */
  loin: Piece
  bellyWeight: number
  /** Money for the belly at its own price a kilo; nothing where it has none. */
  bellyWorth: number
  notchWeight: number
  /** What lies under the curves of the whole, the belly and the notch, mm³ as measured: weights are shares of it. */
  volumes: { whole: number; belly: number; notch: number }
}

/** How the weight of what came off along a fillet is worked out: its share of what the fillet measures. */
export const explainCameOff = (weight: number, { volumes }: TrimmedFillet, part: 'belly' | 'notch'): Explanation => ({
  title: `Weight of the ${part}`,
  quantity: 'weight',
  expression: times(
    value('the fillet', weight, 'weight'),
    over(value(`the ${part} measures`, volumes[part], 'volume'), value('all of it', volumes.whole, 'volume')),
  ),
})

/** How the worth of a belly is worked out. */
export const explainBelly = ({ bellyWeight }: Pick<TrimmedFillet, 'bellyWeight'>, perKg: number): Explanation => ({
  title: 'Worth of the belly',
  quantity: 'money',
  expression: times(over(value('belly', bellyWeight, 'weight'), KILO), value('a kilo of it', perKg, 'money-per-kg')),
})

/** Just beside an edge the area jumps: a second station there keeps it a step and not a slope. */
const EDGE = 0.5

/**
 * A fillet without its belly and without the notch along its pin bones. What comes off weighs by its share
 * of the areas, like everything else; a notch takes no more than a cross section has.
 */
export function trimFillet(piece: Piece, { belly, notch }: FilletTrim): TrimmedFillet {
  const shape = shapeOf(piece)
  const places = new Set(piece.profile.map(({ at }) => at))
  for (const edge of [belly?.from, belly?.to, notch?.from, notch?.to]) {
    if (edge === undefined || edge <= EDGE || edge >= piece.length - EDGE) continue
    places.add(edge - EDGE)
    places.add(edge + EDGE)
  }
  const sorted = [...places].sort((a, b) => a - b)
  const bellyAt = (at: number) => (belly && at >= belly.from && at <= belly.to ? shape.areaAt(at) * belly.share : 0)
  const notchAt = (at: number) => {
    if (!notch || at < notch.from || at > notch.to) return 0
    return Math.min((notch.width * notch.depth) / 2, shape.areaAt(at) - bellyAt(at))
  }
  const stationsOf = (area: (at: number) => number): Station[] => sorted.map((at) => ({ at, area: area(at) }))
  const whole = volumeOf(stationsOf((at) => shape.areaAt(at)))
  const volumes = { whole, belly: volumeOf(stationsOf(bellyAt)), notch: volumeOf(stationsOf(notchAt)) }
  const bellyWeight = (piece.weight * volumes.belly) / whole
  const notchWeight = (piece.weight * volumes.notch) / whole
  const loin = {
    ...piece,
    weight: piece.weight - bellyWeight - notchWeight,
    profile: stationsOf((at) => shape.areaAt(at) - bellyAt(at) - notchAt(at)),
  }
  const bellyWorth = (bellyWeight / GRAMS_PER_KILOGRAM) * (belly?.valuePerKg ?? 0)
  return { loin, bellyWeight, bellyWorth, notchWeight, volumes }
}
