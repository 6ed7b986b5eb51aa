import type { FabricationState, KeptMark, KeptMove, KeptReading, KeptVoid } from '@fleam/contract'
import { standingReadings } from '@fleam/core'
import type { OutboxEntry } from '../../outbox/store.ts'

export interface StandingReading extends KeptReading {
  /** On this device alone: the server does not have it yet. */
  isKeptHere: boolean
  /** Taken on this device. */
  isMine: boolean
}

/** The server's facts together with those that this device has, and the readings that stand. */
export interface MergedFacts {
  readings: KeptReading[]
  voids: KeptVoid[]
  moves: KeptMove[]
  marks: KeptMark[]
  standing: StandingReading[]
}

/** Readings as they were shown last: a batch of thousands is merged anew at every weighing, and few of them change. */
const shownBefore = new WeakMap<KeptReading, StandingReading>()

function shown(reading: KeptReading, isKeptHere: boolean, isMine: boolean): StandingReading {
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
  const mine = [...stored, ...waiting].filter((entry) => entry.fabricationId === state.record.id)
  const readings = [...state.readings]
  const voids = [...state.voids]
  const moves = [...state.moves]
  const marks = [...state.marks]
  for (const entry of mine) {
    if (entry.kind === 'reading') readings.push(entry.reading)
    else if (entry.kind === 'void') voids.push(entry.void)
    else if (entry.kind === 'move') moves.push(entry.move)
    else marks.push(entry.mark)
  }
  const waitingIds = new Set(waiting.map((entry) => entry.id))
  const mineIds = new Set(mine.map((entry) => entry.id))
  const standing = standingReadings(readings, voids, moves).map((each) =>
    shown(each, waitingIds.has(each.id), mineIds.has(each.id)),
  )
  return { readings, voids, moves, marks, standing }
}
