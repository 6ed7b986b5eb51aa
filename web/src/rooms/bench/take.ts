import type { ScaleReading } from '@fleam/contract'

/** Below this the plate counts as empty, grams. */
const EMPTY_GRAMS = 2
/** A load that has changed by less than this is the one that was taken already, grams. */
const SAME_LOAD_GRAMS = 2

/** What the scale shows, as the cook needs it said. */
export type ScaleView =
  | { kind: 'away' }
  | { kind: 'empty' }
  | { kind: 'moving'; grams: number }
  | { kind: 'out-of-range'; state: 'over' | 'under' }
  /** Settled, and taken already: lift it off, or change it. */
  | { kind: 'taken'; grams: number }
  /** Settled and new: one touch takes it. */
  | { kind: 'ready'; grams: number }

/** `takenGrams` is the load that was taken last and still lies there; null after the plate was empty. */
export function viewOf(reading: ScaleReading | null, takenGrams: number | null): ScaleView {
  if (!reading) return { kind: 'away' }
  const { grams, state } = reading
  if (state === 'over' || state === 'under') return { kind: 'out-of-range', state }
  if (state === 'moving') return { kind: 'moving', grams }
  if (grams < EMPTY_GRAMS) return { kind: 'empty' }
  const isTaken = takenGrams !== null && Math.abs(grams - takenGrams) < SAME_LOAD_GRAMS
  return isTaken ? { kind: 'taken', grams } : { kind: 'ready', grams }
}

/** The load that counts as taken after another reading: forgotten once the plate has been empty. */
export function stillTaken(reading: ScaleReading | null, takenGrams: number | null): number | null {
  if (takenGrams === null || !reading) return takenGrams
  if (reading.state === 'under' || reading.grams < EMPTY_GRAMS) return null
  return reading.state === 'stable' && Math.abs(reading.grams - takenGrams) >= SAME_LOAD_GRAMS ? null : takenGrams
}
