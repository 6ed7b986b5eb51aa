import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { type Fact, type Reading, standingReadings } from '@fleam/core/facts'
import type { OutboxEntry } from './entry.ts'

export interface StandingReading extends Reading {
  /** On this device alone: the server does not have it yet. */
  isKeptHere: boolean
  /** Taken on this device. */
  isMine: boolean
}

/** The server's facts together with those that this device has, and the readings that stand. */
export interface MergedFacts {
  facts: Fact[]
  standing: StandingReading[]
}

/** Readings as they were shown last: a batch of thousands is merged anew at every weighing, and few of them change. */
const shownBefore = new WeakMap<Reading, StandingReading>()

function shown(reading: Reading, isKeptHere: boolean, isMine: boolean): StandingReading {
  const before = shownBefore.get(reading)
  if (before && before.isKeptHere === isKeptHere && before.isMine === isMine) return before
  const now = { ...reading, isKeptHere, isMine }
  shownBefore.set(reading, now)
  return now
}

/** The server's facts together with those that only this device has. */
export function merge(
  state: FabricationState,
  waiting: readonly OutboxEntry[],
  stored: readonly OutboxEntry[],
): MergedFacts {
  const mine = [...stored, ...waiting].filter(({ fact }) => fact.fabricationId === state.record.id)
  const facts = [...state.facts, ...mine.map(({ fact }) => fact)]
  const waitingIds = new Set(waiting.map((entry) => entry.id))
  const mineIds = new Set(mine.map((entry) => entry.id))
  const standing = standingReadings(facts).map((standingReading) =>
    shown(standingReading, waitingIds.has(standingReading.id), mineIds.has(standingReading.id)),
  )
  return { facts, standing }
}
