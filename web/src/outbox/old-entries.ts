import { type Fact, type MarkKind, type MeasuringWay, type ReadingSource, wholeMilligrams } from '@fleam/core'
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
  const made = { id, order: FIRST_ORDER + at, fabricationId }
  return { id, kitchenId, fact: factOf(entry, made), ...(storedAtMs === undefined ? {} : { storedAtMs }) }
}

function factOf(entry: OldEntry, made: { id: string; order: number; fabricationId: string }): Fact {
  switch (entry.kind) {
    case 'reading': {
      const { pileId, grams, takenAt, source } = entry.reading
      return { kind: 'reading', ...made, pileId, grams: wholeMilligrams(grams), takenAt, source, cookId: null }
    }
    case 'void':
      return { kind: 'void', ...made, factId: entry.void.readingId, takenAt: entry.void.takenAt }
    case 'move':
      return { kind: 'move', ...made, ...entry.move, ...{ id: made.id } }
    case 'mark': {
      const { kind: mark, ratePerHour, step, takenAt } = entry.mark
      return { kind: 'mark', ...made, mark, cookId: null, ratePerHour, step, takenAt }
    }
  }
}

/** A portion that waited in the second outbox of the version before. */
export interface OldWaitingCut {
  kind: 'weighed'
  cut: { way: MeasuringWay; shape: string; planned: number; weighed: number; takenAt: string }
}
