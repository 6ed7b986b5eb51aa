import { usualOf } from '../../statistics/index.ts'
import { groupBy } from '../group-by.ts'
import type { Doubt, DoubtContainer, DoubtPile, DoubtRecord } from './doubt.ts'
import { UNIT_FACTORS } from './factors.ts'

/** From so many records on a kitchen knows what is usual. */
export const MIN_USUAL = 12
/** Robust standard deviations; and a share of AP, below which nobody would look. */
export const FAR = 6
export const FAR_SHARE = 0.01
/** A scale tells no less than this, grams: nothing spreads less. */
const SCALE_STEP = 1
/** So near to a factor of units a share is taken for it; cuts spread more than prices. */
const NEAR_FACTOR = 0.15
/** Of its usual share a pile that was emptied into another has less than this left. */
const EMPTY = 0.2
/** Pieces are heavier by a container within this share of its weight, or this many grams. */
const NEAR_CONTAINER = 0.05
const NEAR_CONTAINER_GRAMS = 4
/** Fewer pieces tell nothing of what all of them have in common. */
const MIN_PIECES = 3

interface OwnPile {
  record: DoubtRecord
  pile: DoubtPile
}

interface OffPile extends OwnPile {
  usual: number
  /** What it may be off by. */
  reach: number
}

/** Doubts of the piles of records of one item and style. */
export function pilesOff(records: readonly DoubtRecord[], containers: readonly DoubtContainer[]): Doubt[] {
  const all = records.flatMap((record) => record.piles.map((pile): OwnPile => ({ record, pile })))
  const byPile = [...groupBy(all, ({ pile }) => pile.key).values()]
  const heavy = byPile.flatMap((ofPile) => heavyByContainer(ofPile, containers))
  const doubted = new Set(heavy.map(({ id, pile }) => `${id} ${pile}`))
  const off = byPile.flatMap(sharesOff).filter(({ record, pile }) => !doubted.has(`${record.id} ${pile.name}`))
  return [...heavy, ...[...groupBy(off, ({ record }) => record.id).values()].flatMap(doubtsOfRecord)]
}

/** Shares that are further from the kitchen's own than chance takes them. Sound records alone say what is usual. */
function sharesOff(records: readonly OwnPile[]): OffPile[] {
  const sound = records.filter(({ record }) => record.balance === 'ok')
  if (sound.length < MIN_USUAL) return []
  const { usual, sd } = usualOf(sound.map(({ pile }) => pile.share))
  return records.flatMap(({ record, pile }) => {
    const reach = Math.max(FAR * Math.max(sd, SCALE_STEP / record.ap), FAR_SHARE)
    return Math.abs(pile.share - usual) > reach ? [{ record, pile, usual, reach }] : []
  })
}

/** What one pile lacks and another has is one doubt; what is left is one for each pile. */
function doubtsOfRecord(off: readonly OffPile[]): Doubt[] {
  const id = (off[0] as OffPile).record.id
  const isSound = (off[0] as OffPile).record.balance === 'ok'
  const from = off.find(({ pile, usual }) => pile.share < usual * EMPTY)
  const into = from && off.find((pile) => pile.pile.share > pile.usual && isMoved(from, pile))
  if (from && into) {
    return [{ kind: 'emptied', id, pile: from.pile.name, into: into.pile.name, share: from.usual - from.pile.share }]
  }
  return off.flatMap(({ pile, usual }): Doubt[] => {
    const ratio = usual > 0 ? pile.share / usual : 0
    const factor = UNIT_FACTORS.find((unitFactor) => Math.abs(ratio / unitFactor - 1) <= NEAR_FACTOR) ?? null
    // Where the weights do not add up that is said already: a pile says more only where it says why.
    return isSound || factor !== null ? [{ kind: 'pile', id, pile: pile.name, share: pile.share, usual, factor }] : []
  })
}

const isMoved = (from: OffPile, into: OffPile) =>
  Math.abs(from.pile.share + into.pile.share - from.usual - into.usual) <= Math.max(from.reach, into.reach)

/** Piles of which every piece is heavier than is usual, by what a container of the kitchen weighs. */
function heavyByContainer(records: readonly OwnPile[], containers: readonly DoubtContainer[]) {
  const weighed = records.flatMap(({ record, pile }) =>
    pile.middlePiece !== null && pile.lightestPiece !== null && pile.pieces >= MIN_PIECES
      ? [{ record, pile, middle: pile.middlePiece, lightest: pile.lightestPiece }]
      : [],
  )
  if (weighed.length < MIN_USUAL) return []
  const { usual, sd } = usualOf(weighed.map(({ middle }) => middle))
  return weighed.flatMap(({ record, pile, middle, lightest }) => {
    const heavier = middle - usual
    if (heavier <= FAR * Math.max(sd, SCALE_STEP)) return []
    const container = containers.find(
      ({ grams }) =>
        Math.abs(heavier - grams) <= Math.max(NEAR_CONTAINER * grams, NEAR_CONTAINER_GRAMS, 2 * sd) &&
        lightest > usual + grams / 2,
    )
    const { id } = record
    return container
      ? [
          {
            kind: 'container' as const,
            id,
            pile: pile.name,
            container: container.name,
            grams: container.grams,
            heavier,
          },
        ]
      : []
  })
}
