import { LAST_ORDER } from '../limits/index.ts'
import type { BoardState, Fact, Mark, MeasuredCut, Reading } from './fact.ts'
import type { BoardPart } from './kinds.ts'

/** Before or after in the order of the work, whatever the devices' clocks say. */
export const byOrder = (a: Pick<Fact, 'id' | 'order'>, b: Pick<Fact, 'id' | 'order'>): number =>
  a.order - b.order || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)

/** The place of the next fact of a device that knows these; from 1. */
export const nextOrder = (facts: readonly Pick<Fact, 'order'>[]): number =>
  Math.min(LAST_ORDER, facts.reduce((highest, { order }) => Math.max(highest, order), 0) + 1)

/** Ids of what is taken back. Taking back can be taken back itself: what was done later is looked at first. */
function voidedIds(facts: readonly Fact[]): Set<string> {
  const voided = new Set<string>()
  const voids = facts.filter((fact) => fact.kind === 'void').sort((a, b) => byOrder(b, a))
  for (const { id, factId } of voids) if (!voided.has(id)) voided.add(factId)
  return voided
}

/** Each fact once, in the order of the work, those taken back left out: every device derives the same list. */
export function standingFacts<T extends Fact>(facts: readonly T[]): T[] {
  const voided = voidedIds(facts)
  const unique = new Map<string, T>()
  for (const fact of facts) if (fact.kind !== 'void' && !voided.has(fact.id)) unique.set(fact.id, fact)
  return [...unique.values()].sort(byOrder)
}

/** What is in force: each fact once, voids too, those taken back left out. */
export function factsInForce(facts: readonly Fact[]): Fact[] {
  const voided = voidedIds(facts)
  return facts.filter(({ id }) => !voided.has(id))
}

/** The readings that count, in the order they were taken: on the pile they were moved to last, of as many pieces as were said last. */
export function standingReadings(facts: readonly Fact[]): Reading[] {
  const standing = standingFacts(facts)
  const pileOf = new Map(standing.flatMap((fact) => (fact.kind === 'move' ? [[fact.readingId, fact.pileId]] : [])))
  const piecesOf = new Map(standing.flatMap((fact) => (fact.kind === 'count' ? [[fact.readingId, fact.pieces]] : [])))
  return standing.flatMap((fact) => {
    if (fact.kind !== 'reading') return []
    const [pileId, pieces] = [pileOf.get(fact.id), piecesOf.get(fact.id)]
    if (pileId === undefined && pieces === undefined) return [fact]
    return [{ ...fact, pileId: pileId ?? fact.pileId, pieces: pieces ?? fact.pieces }]
  })
}

/** What the cooks said, in the order they said it. */
export const standingMarks = (facts: readonly Fact[]): Mark[] =>
  // Of thousands of weighings few say anything else: those alone are put in order.
  standingFacts(facts.filter((fact) => fact.kind === 'mark' || fact.kind === 'void')).filter(
    (fact) => fact.kind === 'mark',
  )

/** What lies on the board of each part, and the numbers of plates that were given as pieces were weighed since. */
export interface StandingBoard {
  states: Partial<Record<BoardPart, BoardState>>
  /** Number of the plate, from 0, by the id of the reading. */
  plateNumbers: ReadonlyMap<string, number>
}

/** What stands on the board of a fabrication after its facts: the piece that is laid, and the plates. */
export function standingBoard(facts: readonly Fact[]): StandingBoard {
  const states: StandingBoard['states'] = {}
  const plateNumbers = new Map<string, number>()
  const stated = facts.filter((fact) => fact.kind === 'board' || fact.kind === 'plate' || fact.kind === 'void')
  for (const fact of standingFacts(stated)) {
    if (fact.kind === 'plate') plateNumbers.set(fact.readingId, fact.number)
    if (fact.kind !== 'board') continue
    states[fact.part] = fact
    // Other plates are another puzzle: what was numbered before holds no more.
    if (fact.part === 'plates') plateNumbers.clear()
  }
  return { states, plateNumbers }
}

/** Portions that tell how far off a way of measuring is, in order; a portion whose weighing was taken back tells nothing. */
export function standingCuts(facts: readonly Fact[]): MeasuredCut[] {
  const voided = voidedIds(facts)
  return standingFacts(facts).filter(
    (fact): fact is MeasuredCut =>
      fact.kind === 'measured-cut' && (fact.readingId === null || !voided.has(fact.readingId)),
  )
}
