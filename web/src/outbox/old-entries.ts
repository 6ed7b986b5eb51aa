import type { Fact, MarkKind, MeasuringWay, ReadingSource } from '@fleam/core/facts'
import { wholeMilligrams } from '@fleam/core/units'
import { v5 as idFrom, validate as isId } from 'uuid'
import type { OutboxEntry } from './entry.ts'

interface OldPlace {
  kitchenId: string
  fabricationId: string
  id: string
  storedAtMs?: number
}
interface OldReading {
  pileId: string
  grams: number
  takenAt: string
  source: ReadingSource
}

/** An entry as the version before kept it: each kind in a field of its own, cooks by name. */
export type OldEntry = OldPlace &
  (
    | { kind: 'reading'; reading: OldReading }
    | { kind: 'void'; void: { readingId: string; takenAt: string } }
    | { kind: 'move'; move: { readingId: string; pileId: string; takenAt: string } }
    | {
        kind: 'mark'
        mark: { kind: MarkKind; ratePerHour: number | null; step: string | null; takenAt: string }
      }
  )

/** After everything that a server may have put in order before there was one. */
const FIRST_ORDER = 1_000_000

export function factOfOldEntry(entry: OldEntry, at: number): OutboxEntry {
  const { id, kitchenId, fabricationId, storedAtMs } = entry
  const fields = { id, order: FIRST_ORDER + at, fabricationId }
  return { id, kitchenId, fact: factOf(entry, fields), ...(storedAtMs === undefined ? {} : { storedAtMs }) }
}

function factOf(entry: OldEntry, made: { id: string; order: number; fabricationId: string }): Fact {
  switch (entry.kind) {
    case 'reading': {
      const { pileId, grams, takenAt, source } = entry.reading
      const weighed = { pileId, grams: wholeMilligrams(grams), takenAt, source, cookId: null, pieces: null }
      return { kind: 'reading', ...made, ...weighed }
    }
    case 'void':
      return { kind: 'void', ...made, factId: entry.void.readingId, takenAt: entry.void.takenAt }
    case 'move': {
      const { readingId, pileId, takenAt } = entry.move
      return { kind: 'move', ...made, readingId, pileId, takenAt }
    }
    case 'mark': {
      const { kind: mark, ratePerHour, step, takenAt } = entry.mark
      return { kind: 'mark', ...made, mark, cookId: null, ratePerHour, step, load: null, units: null, takenAt }
    }
  }
}

/** What waited in the second outbox of the version before: a portion, or one that was taken back. */
export type OldWaitingCut =
  | {
      kind: 'weighed'
      cut: { id: string; way: MeasuringWay; shape: string; planned: number; weighed: number; takenAt: string }
    }
  | { kind: 'taken-back'; id: string }

const isWhole = (cut: OldWaitingCut | null) =>
  isId(cut?.kind === 'weighed' ? cut.cut?.id : cut?.kind === 'taken-back' ? cut.id : null)

/** Reads what the version before kept; what is not whole is nothing. */
export function oldCutsIn(text: string | null): OldWaitingCut[] {
  try {
    const read: unknown = JSON.parse(text ?? '[]')
    return Array.isArray(read) ? (read as OldWaitingCut[]).filter(isWhole) : []
  } catch {
    return []
  }
}

/**
 * The facts of what waited. A portion that was weighed at a bench had the id of its weighing, so that each gets one
 * that follows from it: carried over twice, after a crash, it is there once.
 */
export function factsOfOldCuts(waiting: readonly OldWaitingCut[], now: string): Fact[] {
  const takenBack = new Set(waiting.flatMap((entry) => (entry.kind === 'taken-back' ? [entry.id] : [])))
  const weighedHere = new Set(waiting.flatMap((entry) => (entry.kind === 'weighed' ? [entry.cut.id] : [])))
  return waiting.flatMap((entry, index): Fact[] => {
    const order = FIRST_ORDER + index
    if (entry.kind === 'taken-back') {
      if (weighedHere.has(entry.id)) return []
      const id = idFrom('void', entry.id)
      return [{ kind: 'void', id, order, takenAt: now, fabricationId: null, factId: entry.id }]
    }
    const { id, way, shape, planned, weighed, takenAt } = entry.cut
    if (takenBack.has(id)) return []
    const grams = { planned: wholeMilligrams(planned), weighed: wholeMilligrams(weighed) }
    const fields = { id: idFrom('cut', id), order, takenAt, fabricationId: null, readingId: null }
    return [{ kind: 'measured-cut', ...fields, way, shape, ...grams }]
  })
}
