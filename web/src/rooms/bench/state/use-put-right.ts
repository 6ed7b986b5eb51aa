import type { PlannedPile } from '@fleam/core/fabrication'
import { useState } from 'react'
import type { StandingReading } from '../../../outbox/merge.ts'
import type { Format } from '../../../parts/use-format.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'
import type { SaidState } from './use-said.ts'

export interface PutRightInput {
  live: LiveFabrication
  voice: SaidState
  format: Format
  pileById: (id: string | null | undefined) => PlannedPile | undefined
  /** The bench as it is without a reading: it may lie on the plate still, and its pile is wanted again. */
  leave: (reading: StandingReading) => void
}

export interface PutRight {
  /** A weighing that was picked: it can be taken back, or moved by touching its pile. */
  picked: StandingReading | null
  pick: (readingId: string | null) => void
  moveTo: (reading: StandingReading, pile: PlannedPile) => void
  withdraw: (readingId: string) => void
  /** Says how many pieces a weighing is of. */
  countPieces: (readingId: string, pieces: number) => void
  /** Undoes what this cook did last on this device, whatever it was; `redo` does it again. */
  undo: () => void
  redo: () => void
}

/** Putting right what was weighed: moved, deleted, counted, undone. */
export function usePutRight({ live, voice, format, pileById, leave }: PutRightInput): PutRight {
  const { standing, lastAct, lastUndone } = live
  const [pickedId, setPickedId] = useState<string | null>(null)
  const readingById = (id: string) => standing.find((reading) => reading.id === id)
  return {
    picked: standing.find((reading) => reading.id === pickedId) ?? null,
    pick: (id) => setPickedId(id === pickedId ? null : id),
    moveTo: (reading, pile) => {
      setPickedId(null)
      if (reading.pileId === pile.id) return
      const words = `${format.weight(reading.grams)} to ${pile.name}`
      void voice.onceKept(live.move(`move ${words}`, reading.id, pile.id), `Moved ${words}`)
    },
    withdraw: (readingId) => {
      const reading = readingById(readingId)
      const pile = pileById(reading?.pileId)
      setPickedId(null)
      if (!reading || !pile) return
      const words = `${format.weight(reading.grams)}: ${pile.name}`
      leave(reading)
      void voice.onceKept(live.withdraw(`delete ${words}`, readingId), `Deleted ${words}`)
    },
    countPieces: (readingId, pieces) => {
      const reading = readingById(readingId)
      setPickedId(null)
      if (!reading) return
      const words = `${format.weight(reading.grams)} is ${pieces === 1 ? 'one piece' : `${pieces} pieces`}`
      void voice.onceKept(live.count(words, readingId, pieces), words)
    },
    undo: () => {
      setPickedId(null)
      // What another cook did, or this one on another device, is theirs to undo.
      if (!lastAct) return voice.say('Nothing to undo on this device.')
      const reading = live.ahead.find((standingReading) => lastAct.factIds.includes(standingReading.id))
      if (reading) leave(reading)
      void voice.onceKept(live.undo(), `Undone: ${lastAct.words}`)
    },
    redo: () => {
      if (!lastUndone) return voice.say('Nothing to do again.')
      void voice.onceKept(live.redo(), `Done again: ${lastUndone.words}`)
    },
  }
}
