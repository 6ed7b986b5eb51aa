import type { ScaleReading } from '@fleam/contract/scale/scale-line'
import { EMPTY_GRAMS, SAME_LOAD_GRAMS, type ScaleView, stillTaken, viewOf } from '@fleam/core/weighing'
import { useEffect, useState } from 'react'
import { useScale } from '../../../data/scale.ts'
import { readSetting, writeSetting } from '../../../data/settings.ts'

export interface BenchScaleState {
  /** What there is to take, with a container of so many grams taken off. */
  viewWith: (containerGrams: number) => ScaleView
  reading: ScaleReading | null
  isConnected: boolean
  /** The load lay there before this bench was opened: it is taken by whoever says so, and by no touch that only chooses. */
  isFound: boolean
  /** Remembers that what lies on the plate has been taken. */
  markTaken: () => void
  /** A load that was taken back may be taken again, onto the right pile. */
  forgetTaken: () => void
}

/** The scale as the bench sees it: away, empty, moving, ready to take, or taken. */
export function useBenchScale(): BenchScaleState {
  const { reading, connected } = useScale()
  const [watch, setWatch] = useState<Watch>(UNSEEN)
  const now = watchOn(watch, reading)
  if (now !== watch) setWatch(now)
  const { isWatching, takenGrams, foundGrams } = now
  // What lies on the plate and was taken is known to the next record that is opened on this device.
  useEffect(() => {
    if (isWatching) writeSetting(TAKEN_LOAD, takenGrams === null ? null : String(takenGrams))
  }, [isWatching, takenGrams])
  return {
    viewWith: (containerGrams) => viewOf(reading, takenGrams, containerGrams),
    reading,
    isConnected: connected,
    isFound: foundGrams !== null,
    markTaken: () => setWatch({ ...now, takenGrams: reading?.grams ?? null, beforeGrams: takenGrams }),
    forgetTaken: () => setWatch({ ...now, takenGrams: now.beforeGrams, beforeGrams: null }),
  }
}

/** The setting of this device that remembers a load which was taken and may still lie there. */
const TAKEN_LOAD = 'taken-load'

interface Watch {
  /** A reading has been seen since the bench was opened. */
  isWatching: boolean
  /** What lies on the plate and has been taken, and what of it had been taken before the last weighing. */
  takenGrams: number | null
  beforeGrams: number | null
  /** What lay there when the bench was opened; null once it changed. */
  foundGrams: number | null
}

const UNSEEN: Watch = { isWatching: false, takenGrams: null, beforeGrams: null, foundGrams: null }

const isSameLoad = (one: number, other: number) => Math.abs(one - other) < SAME_LOAD_GRAMS

/** What is known after a reading; the same object where nothing has changed. */
function watchOn(watch: Watch, reading: ScaleReading | null): Watch {
  if (!reading) return watch
  const { grams, state } = reading
  const isLying = state === 'stable' && grams >= EMPTY_GRAMS
  if (!watch.isWatching) {
    const kept = Number(readSetting(TAKEN_LOAD) ?? Number.NaN)
    // Another load than the one that was taken came while nobody watched: all of it is new.
    const takenGrams = isLying && isSameLoad(kept, grams) ? kept : null
    return { isWatching: true, takenGrams, beforeGrams: null, foundGrams: isLying ? grams : null }
  }
  const takenGrams = stillTaken(reading, watch.takenGrams)
  const isStillFound = watch.foundGrams !== null && isLying && isSameLoad(watch.foundGrams, grams)
  const foundGrams = isStillFound ? watch.foundGrams : null
  if (takenGrams === watch.takenGrams && foundGrams === watch.foundGrams) return watch
  const { beforeGrams } = watch
  const before = takenGrams === null || beforeGrams === null ? null : Math.min(beforeGrams, takenGrams)
  return { ...watch, takenGrams, beforeGrams: takenGrams === watch.takenGrams ? beforeGrams : before, foundGrams }
}
