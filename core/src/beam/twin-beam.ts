import type { Appraisal } from '../appraisal/index.ts'
import type { PileClass } from '../fabrication/index.ts'

/** What a stretch of a beam stands for: a pile, drained liquid, what the delivery was short of, or the rest. */
export type SegmentKind = 'pile' | 'purge' | 'short' | 'rest'

export interface Segment {
  kind: SegmentKind
  /** Name of the pile; null for the other kinds. */
  pile: string | null
  class: PileClass | null
  /** Place of the pile in the document, from 0; null for the other kinds. */
  at: number | null
  /** Grams on the weight beam, money on the other. */
  amount: number
  /** Share of the whole beam, 0 to 1. */
  share: number
  /** Where it begins and ends on the beam, 0 to 1. */
  from: number
  to: number
}

export interface TwinBeam {
  weight: Segment[]
  money: Segment[]
  /** Grams that the weight beam is long: AP, or what came out where that is more. */
  weightTotal: number
  /** Money that the other beam is long. */
  moneyTotal: number
}

type Part = Omit<Segment, 'share' | 'from' | 'to'>

/** Lays parts end to end on a beam of length 1; parts that weigh or cost nothing are left out. */
function lay(parts: readonly Part[], total: number): Segment[] {
  let from = 0
  return parts.flatMap((part) => {
    if (!(part.amount > 0) || !(total > 0)) return []
    const share = part.amount / total
    const segment = { ...part, share, from, to: from + share }
    from += share
    return [segment]
  })
}

const other = (kind: SegmentKind, amount: number): Part => ({ kind, pile: null, class: null, at: null, amount })

/**
 * Two beams of equal length. Weight: what was paid for, filled by each pile, then purge, what is not
 * weighed, and what the delivery was short of. Money: everything spent, by the same piles in the same
 * order: a primary pile carries its share of the net cost, a by-product the credit that it gives back.
 * A pile that costs money to be rid of carries nothing; what it costs is in the primaries' share.
 * While weighing goes on, `expected` is the appraisal of how it will end: of what a pile will carry it then
 * carries as much as is weighed of it, and the money of what is not weighed yet is still rest.
 */
export function twinBeam({ weights, cost, piles }: Appraisal, expected?: Appraisal): TwinBeam {
  const pilePart = (amountOf: (pile: (typeof piles)[number]) => number) =>
    piles.map(
      (pile, index): Part => ({ kind: 'pile', pile: pile.name, class: pile.class, at: index, amount: amountOf(pile) }),
    )
  const short = Math.max(0, weights.short)
  const weightParts = [
    ...pilePart((pile) => pile.weight),
    other('purge', weights.purge),
    other('rest', weights.unaccounted),
    other('short', short),
  ]
  const ending = expected?.piles ?? piles
  const carriedBy = (pile: (typeof piles)[number]) => (pile.class === 'primary' ? (pile.cost ?? 0) : (pile.credit ?? 0))
  const sumOf = (amounts: readonly number[]) => amounts.reduce((sum, amount) => sum + Math.max(0, amount), 0)
  const carried = pilePart((pile) => {
    const end = ending.find((entry) => entry.name === pile.name)
    return end && end.weight > 0 ? carriedBy(end) * Math.min(1, pile.weight / end.weight) : 0
  })
  const carriedTotal = sumOf(carried.map((part) => part.amount))
  const isSpread = ending.some((pile) => pile.cost !== null)
  const endingTotal = sumOf(ending.map(carriedBy))
  const moneyTotal = isSpread ? endingTotal : Math.max(cost.in, endingTotal)
  const weightTotal = Math.max(weights.ap, weights.out + weights.purge + short, weights.received + short)
  return {
    weight: lay(weightParts, weightTotal),
    money: lay([...carried, other('rest', moneyTotal - carriedTotal)], moneyTotal),
    weightTotal,
    moneyTotal,
  }
}

/** One stretch of a beam as it is kept: pile, class and place where it is a pile, and how much of it there is. */
export interface KeptStretch {
  kind: SegmentKind
  pile: string | null
  class: PileClass | null
  at: number | null
  amount: number
}

/** A twin beam as it is kept beside a record: what is longer than nothing, in its order. */
export interface KeptBeam {
  weight: KeptStretch[]
  money: KeptStretch[]
  weightTotal: number
  moneyTotal: number
}

const keptStretch = ({ kind, pile, class: own, at, amount }: Segment): KeptStretch => ({
  kind,
  pile,
  class: own,
  at,
  amount,
})

/** What is kept of a beam; where no price is known the money is left out. */
export const keptBeam = ({ weight, money, weightTotal, moneyTotal }: TwinBeam, isPriced = true): KeptBeam => ({
  weight: weight.map(keptStretch),
  money: isPriced ? money.map(keptStretch) : [],
  weightTotal,
  moneyTotal: isPriced ? moneyTotal : 0,
})

/** The beam that was kept. */
export const beamOf = ({ weight, money, weightTotal, moneyTotal }: KeptBeam): TwinBeam => ({
  weight: lay(weight, weightTotal),
  money: lay(money, moneyTotal),
  weightTotal,
  moneyTotal,
})
