/** What a scale says of its plate: net grams, and whether they hold still. */
export interface PlateReading {
  grams: number
  state: 'stable' | 'moving' | 'over' | 'under'
}

/** Below this the plate counts as empty, grams. */
export const EMPTY_GRAMS = 2
/** A load that has changed by less than this is the one that was taken already, grams. */
export const SAME_LOAD_GRAMS = 2

/** What the scale shows, as the cook needs it said. */
export type ScaleView =
  | { kind: 'away' }
  | { kind: 'empty' }
  | { kind: 'moving'; grams: number }
  | { kind: 'out-of-range'; state: 'over' | 'under' }
  /** Settled, and taken already: lift it off, or put more on. */
  | { kind: 'taken'; grams: number }
  /** Settled and new: one touch takes it. What was put beside a load that was taken is what counts. */
  | { kind: 'ready'; grams: number; isAdded: boolean }

/**
 * What there is to take. `takenGrams` is the load that was taken last and still lies there, null after the plate was empty;
 * `containerGrams` is a known container that the load lies in.
 */
export function viewOf(reading: PlateReading | null, takenGrams: number | null, containerGrams = 0): ScaleView {
  if (!reading) return { kind: 'away' }
  const { grams, state } = reading
  if (state === 'over' || state === 'under') return { kind: 'out-of-range', state }
  if (state === 'moving') return { kind: 'moving', grams }
  if (grams < EMPTY_GRAMS) return { kind: 'empty' }
  if (takenGrams === null) {
    const net = grams - containerGrams
    return net < EMPTY_GRAMS ? { kind: 'empty' } : { kind: 'ready', grams: net, isAdded: false }
  }
  const added = grams - takenGrams
  return added < SAME_LOAD_GRAMS ? { kind: 'taken', grams } : { kind: 'ready', grams: added, isAdded: true }
}

/**
 * The load that counts as taken after another reading: forgotten once the plate has been empty, and less
 * where some of it was lifted off.
 */
export function stillTaken(reading: PlateReading | null, takenGrams: number | null): number | null {
  if (takenGrams === null || !reading) return takenGrams
  if (reading.state === 'under' || reading.grams < EMPTY_GRAMS) return null
  const isLess = reading.state === 'stable' && takenGrams - reading.grams >= SAME_LOAD_GRAMS
  return isLess ? reading.grams : takenGrams
}
