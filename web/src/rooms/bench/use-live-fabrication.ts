import type { FabricationRecord, FabricationState } from '@fleam/contract'
import {
  type CookName,
  documentOf,
  expectedDocument,
  type FabricationDocument,
  type Mark,
  type Reading,
  standingMarks,
} from '@fleam/core'
import { useMemo } from 'react'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks } from '../../data/queries.ts'
import { merge, type StandingReading } from '../../outbox/merge.ts'
import { type FactDraft, newFact, outbox, useOutbox } from '../../outbox/page-outbox.ts'
import { useNow } from './use-now.ts'

/** Running clocks and what they cost are worked out anew this often. */
const CLOCK_TICK_MS = 10_000

export type { StandingReading }

type Taken = Pick<Reading, 'pileId' | 'grams' | 'source' | 'cookId'>

export interface LiveFabrication {
  record: FabricationRecord
  /** The readings that count, in the order they were taken. */
  standing: StandingReading[]
  /** What the cooks said, in the order they said it. */
  marks: Mark[]
  cookName: CookName
  /** The time that clocks are read at, milliseconds since 1970. */
  nowMs: number
  document: FabricationDocument
  /** As it would end if what is not weighed yet came out as the style expects. */
  expected: FabricationDocument
  /** Keeps weighings, all of them or none. */
  take: (...taken: readonly Taken[]) => Promise<void>
  withdraw: (readingId: string) => Promise<void>
  move: (readingId: string, pileId: string) => Promise<void>
  mark: (mark: Pick<Mark, 'mark'> & Partial<Mark>) => Promise<void>
}

/** One fabrication as this device sees it, with what the cook can do to it. */
export function useLiveFabrication(state: FabricationState): LiveFabrication {
  const kitchen = useKitchen()
  const { waiting, stored } = useOutbox()
  const { record } = state
  const nowMs = useNow(CLOCK_TICK_MS)
  const { data: cooks } = useCooks()
  const cookName = useMemo<CookName>(() => {
    const names = new Map((cooks ?? []).map((cook) => [cook.id, cook.name]))
    return (id) => names.get(id)
  }, [cooks])
  const { facts, standing } = useMemo(() => merge(state, waiting, stored), [state, waiting, stored])
  const marks = useMemo(() => standingMarks(facts), [facts])
  const documents = useMemo(() => {
    const document = documentOf(record, facts, { nowMs, cookName, standing })
    return { document, expected: expectedDocument(record, document) }
  }, [record, facts, standing, nowMs, cookName])
  const fabricationId = record.id
  const keep = (...drafts: readonly FactDraft[]) =>
    outbox.keep(kitchen.id, ...drafts.map((draft) => newFact(draft, facts)))
  return {
    record,
    standing,
    marks,
    cookName,
    nowMs,
    ...documents,
    take: (...taken) => keep(...taken.map((each) => ({ kind: 'reading' as const, fabricationId, ...each }))),
    withdraw: (readingId) => keep({ kind: 'void', fabricationId, factId: readingId }),
    move: (readingId, pileId) => keep({ kind: 'move', fabricationId, readingId, pileId }),
    mark: (said) => keep({ kind: 'mark', fabricationId, cookId: null, ratePerHour: null, step: null, ...said }),
  }
}
