import type { FabricationRecord, FabricationState, KeptReading, KeptVoid } from '@fleam/contract'
import { documentOf, type FabricationDocument, standingReadings } from '@fleam/core'
import { useMemo } from 'react'
import { v7 as newId } from 'uuid'
import { outbox, useOutbox } from '../../outbox/page-outbox.ts'
import type { OutboxEntry } from '../../outbox/store.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'

export interface StandingReading extends KeptReading {
  /** On this device alone: the server does not have it yet. */
  isKeptHere: boolean
}

export interface LiveFabrication {
  record: FabricationRecord
  /** The readings that count, in the order they were taken. */
  standing: StandingReading[]
  document: FabricationDocument
  /** As it would end if what is not weighed yet came out as the style expects. */
  expected: FabricationDocument
  take: (pileId: string, grams: number, source: KeptReading['source']) => Promise<KeptReading>
  withdraw: (readingId: string) => Promise<void>
}

/** The server's readings together with those that only this device has. */
export function merge(state: FabricationState, waiting: readonly OutboxEntry[], stored: readonly OutboxEntry[]) {
  const mine = [...stored, ...waiting].filter((entry) => entry.fabricationId === state.record.id)
  const readings: KeptReading[] = [
    ...state.readings,
    ...mine.flatMap((entry) => (entry.kind === 'reading' ? [entry.reading] : [])),
  ]
  const voids: KeptVoid[] = [...state.voids, ...mine.flatMap((entry) => (entry.kind === 'void' ? [entry.void] : []))]
  const waitingIds = new Set(waiting.map((entry) => entry.id))
  const standing = standingReadings(readings, voids).map((each) => ({ ...each, isKeptHere: waitingIds.has(each.id) }))
  return { readings, voids, standing }
}

/** One fabrication as this device sees it, with what the cook can do to it. */
export function useLiveFabrication(state: FabricationState): LiveFabrication {
  const kitchen = useKitchen()
  const { waiting, stored } = useOutbox()
  const { record } = state
  const derived = useMemo(() => {
    const { readings, voids, standing } = merge(state, waiting, stored)
    return {
      standing,
      document: documentOf(record, readings, voids),
      expected: documentOf(record, readings, voids, { asExpected: true }),
    }
  }, [state, record, waiting, stored])
  const place = { kitchenId: kitchen.id, fabricationId: record.id }
  return {
    record,
    ...derived,
    take: async (pileId, grams, source) => {
      const reading = { id: newId(), pileId, grams, takenAt: new Date().toISOString(), source }
      await outbox.keep({ ...place, kind: 'reading', id: reading.id, reading })
      return reading
    },
    withdraw: (readingId) => {
      const id = newId()
      return outbox.keep({ ...place, kind: 'void', id, void: { id, readingId, takenAt: new Date().toISOString() } })
    },
  }
}
