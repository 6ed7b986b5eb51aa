import { LAST_ORDER } from '../limits/index.ts'
import type { Fact, Mark, MeasuredCut, Reading } from './fact.ts'

/** Before or after in the order of the work, whatever the devices' clocks say. */
export const byOrder = (a: Pick<Fact, 'id' | 'order'>, b: Pick<Fact, 'id' | 'order'>): number =>
  a.order - b.order || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)

/** The place of the next fact of a device that knows these; from 1. */
export const nextOrder = (facts: readonly Pick<Fact, 'order'>[]): number =>
  Math.min(LAST_ORDER, facts.reduce((highest, { order }) => Math.max(highest, order), 0) + 1)

/** Each fact once, in the order of the work, those taken back left out: every device derives the same list. */
export function standingFacts<T extends Fact>(facts: readonly T[]): T[] {
  const voided = new Set(facts.flatMap((fact) => (fact.kind === 'void' ? [fact.factId] : [])))
  const unique = new Map<string, T>()
  for (const fact of facts) if (fact.kind !== 'void' && !voided.has(fact.id)) unique.set(fact.id, fact)
  return [...unique.values()].sort(byOrder)
}

/** The readings that count, in the order they were taken, those moved on the pile they were moved to last. */
export function standingReadings(facts: readonly Fact[]): Reading[] {
  const standing = standingFacts(facts)
  const pileOf = new Map(standing.flatMap((fact) => (fact.kind === 'move' ? [[fact.readingId, fact.pileId]] : [])))
  return standing.flatMap((fact) => {
    if (fact.kind !== 'reading') return []
    const pileId = pileOf.get(fact.id)
    return [pileId === undefined ? fact : { ...fact, pileId }]
  })
}

/** What the cooks said, in the order they said it. */
export const standingMarks = (facts: readonly Fact[]): Mark[] =>
  // Of thousands of weighings few say anything else: those alone are put in order.
  standingFacts(facts.filter((fact) => fact.kind === 'mark' || fact.kind === 'void')).filter(
    (fact) => fact.kind === 'mark',
  )

/** Portions that tell how far off a way of measuring is, in order; a portion whose weighing was taken back tells nothing. */
export function standingCuts(facts: readonly Fact[]): MeasuredCut[] {
  const voided = new Set(facts.flatMap((fact) => (fact.kind === 'void' ? [fact.factId] : [])))
  return standingFacts(facts).filter(
    (fact): fact is MeasuredCut =>
      fact.kind === 'measured-cut' && (fact.readingId === null || !voided.has(fact.readingId)),
  )
}
