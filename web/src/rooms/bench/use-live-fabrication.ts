import type { FabricationRecord, FabricationState, KeptMark, KeptReading } from '@fleam/contract'
import { documentOf, type FabricationDocument } from '@fleam/core'
import { useMemo } from 'react'
import { v7 as newId } from 'uuid'
import { outbox, useOutbox } from '../../outbox/page-outbox.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'
import { merge, type StandingReading } from './merge.ts'
import { useNow } from './use-now.ts'

/** Running clocks and what they cost are worked out anew this often. */
const CLOCK_TICK_MS = 10_000

export type { StandingReading }

type Taken = Pick<KeptReading, 'pileId' | 'grams' | 'source' | 'cook'>

export interface LiveFabrication {
  record: FabricationRecord
  /** The readings that count, in the order they were taken. */
  standing: StandingReading[]
  marks: KeptMark[]
  /** The time that clocks are read at, milliseconds since 1970. */
  nowMs: number
  document: FabricationDocument
  /** As it would end if what is not weighed yet came out as the style expects. */
  expected: FabricationDocument
  /** Keeps weighings, all of them or none. */
  take: (...taken: readonly Taken[]) => Promise<void>
  withdraw: (readingId: string) => Promise<void>
  move: (readingId: string, pileId: string) => Promise<void>
  mark: (mark: Pick<KeptMark, 'kind'> & Partial<KeptMark>) => Promise<void>
}

/** One fabrication as this device sees it, with what the cook can do to it. */
export function useLiveFabrication(state: FabricationState): LiveFabrication {
  const kitchen = useKitchen()
  const { waiting, stored } = useOutbox()
  const { record } = state
  const nowMs = useNow(CLOCK_TICK_MS)
  const facts = useMemo(() => merge(state, waiting, stored), [state, waiting, stored])
  const documents = useMemo(
    () => ({
      document: documentOf(record, facts, { nowMs }),
      expected: documentOf(record, facts, { asExpected: true, nowMs }),
    }),
    [record, facts, nowMs],
  )
  const place = { kitchenId: kitchen.id, fabricationId: record.id }
  const fresh = () => ({ id: newId(), takenAt: new Date().toISOString() })
  return {
    record,
    standing: facts.standing,
    marks: facts.marks,
    nowMs,
    ...documents,
    take: (...taken) => {
      const readings = taken.map((each) => ({ ...each, ...fresh() }))
      return outbox.keep(
        ...readings.map((reading) => ({ ...place, kind: 'reading' as const, id: reading.id, reading })),
      )
    },
    withdraw: (readingId) => {
      const withdrawal = { ...fresh(), readingId }
      return outbox.keep({ ...place, kind: 'void', id: withdrawal.id, void: withdrawal })
    },
    move: (readingId, pileId) => {
      const move = { ...fresh(), readingId, pileId }
      return outbox.keep({ ...place, kind: 'move', id: move.id, move })
    },
    mark: (said) => {
      const mark = { cook: null, ratePerHour: null, step: null, ...said, ...fresh() }
      return outbox.keep({ ...place, kind: 'mark', id: mark.id, mark })
    },
  }
}
