import { expectedWeight, type Pile, type PlannedPile, pileWeight } from '../fabrication/index.ts'

/** How far a pile may be from what the style expects, as a share of that, before a cause is asked for. */
const RANGE_SHARE = 0.08
/** And at least by this share of AP, so that a few grams of fat are never a question. */
const RANGE_AP_SHARE = 0.005

export interface PileOutcome {
  pile: PlannedPile
  grams: number
  expected: number
  /** More or less than the style expects. */
  side: 'more' | 'less'
}

/**
 * Piles that ended outside their expected range. `weighed` are the piles with their weights, in the order
 * of `planned`; `ap` is the invoice weight in grams. Piles of which nothing is expected are never outside.
 */
export function outsideRange(planned: readonly PlannedPile[], weighed: readonly Pile[], ap: number): PileOutcome[] {
  return planned.flatMap((pile, index) => {
    const expected = expectedWeight(pile, ap)
    if (expected === null) return []
    const grams = pileWeight(weighed[index] as Pile)
    const off = Math.abs(grams - expected)
    if (off <= Math.max(RANGE_SHARE * expected, RANGE_AP_SHARE * ap)) return []
    return [{ pile, grams, expected, side: grams > expected ? ('more' as const) : ('less' as const) }]
  })
}

/** What may have gone wrong, as a record names it. */
export const LOSS_CAUSES = [
  'meat-on-bones',
  'red-on-silverskin',
  'joint-missed',
  'skin-torn',
  'too-heavy',
  'too-light',
  'uneven',
  'gouged',
  'dull-knife',
  'by-product-binned',
  'not-weighed',
  'liquid-loss',
  'against-grain',
  'bone-left',
  'too-warm',
  'ran-out',
  'wrong-item',
  'other-goods',
  'cut-otherwise',
] as const
export type LossCause = (typeof LOSS_CAUSES)[number]

type Likely = Readonly<Record<PileOutcome['side'], readonly LossCause[]>>

const LIKELY: Readonly<Record<PlannedPile['class'], Likely>> = {
  primary: {
    less: ['meat-on-bones', 'red-on-silverskin', 'too-light', 'skin-torn', 'joint-missed', 'not-weighed', 'wrong-item'],
    more: ['too-heavy', 'uneven', 'bone-left', 'wrong-item'],
  },
  'by-product': {
    less: ['by-product-binned', 'not-weighed', 'liquid-loss', 'wrong-item'],
    more: ['meat-on-bones', 'red-on-silverskin', 'joint-missed', 'gouged', 'wrong-item'],
  },
  waste: {
    less: ['not-weighed', 'wrong-item'],
    more: ['by-product-binned', 'red-on-silverskin', 'skin-torn', 'dull-knife', 'wrong-item'],
  },
}

/** Causes that only some kinds of animal can have. */
const OF_RED_MEAT: readonly LossCause[] = ['red-on-silverskin', 'gouged']
const OF_BIRDS: readonly LossCause[] = ['skin-torn']

/**
 * The causes to offer first for a pile, the likeliest first; any other may be named all the same.
 * `species` is `poultry`, `fish` or `red-meat`; null where nobody knows, and nothing is left out.
 */
export function likelyCauses({ pile, side, grams }: PileOutcome, species: string | null): readonly LossCause[] {
  const fits = (cause: LossCause) =>
    species === null ||
    ((species === 'red-meat' || !OF_RED_MEAT.includes(cause)) && (species === 'poultry' || !OF_BIRDS.includes(cause)))
  const likely = LIKELY[pile.class][side].filter(fits)
  // A pile with nothing on it was most likely not weighed.
  return grams > 0 ? likely : ['not-weighed', ...likely.filter((cause) => cause !== 'not-weighed')]
}
