import type { ScaleReading } from '@fleam/contract'
import { type ScaleView, stillTaken, viewOf } from '@fleam/core'
import { useState } from 'react'
import { useScale } from '../../../data/scale.ts'

export interface BenchScaleState {
  /** What there is to take, with a container of so many grams taken off. */
  viewWith: (containerGrams: number) => ScaleView
  reading: ScaleReading | null
  isConnected: boolean
  /** Remembers that what lies on the plate has been taken. */
  markTaken: () => void
  /** A load that was taken back may be taken again, onto the right pile. */
  forgetTaken: () => void
}

/** The scale as the bench sees it: away, empty, moving, ready to take, or taken. */
export function useBenchScale(): BenchScaleState {
  const { reading, connected } = useScale()
  const [load, setLoad] = useState<TakenLoad>(NOTHING)
  const taken = stillTaken(reading, load.takenGrams)
  if (taken !== load.takenGrams) setLoad(lessened(load, taken))
  return {
    viewWith: (containerGrams) => viewOf(reading, taken, containerGrams),
    reading,
    isConnected: connected,
    markTaken: () => setLoad({ takenGrams: reading?.grams ?? null, beforeGrams: taken }),
    forgetTaken: () => setLoad({ takenGrams: load.beforeGrams, beforeGrams: null }),
  }
}

/** What lies on the plate and has been taken, and what of it had been taken before the last weighing. */
interface TakenLoad {
  takenGrams: number | null
  beforeGrams: number | null
}

const NOTHING: TakenLoad = { takenGrams: null, beforeGrams: null }

/** After some of the load was lifted off, or all of it. */
const lessened = ({ beforeGrams }: TakenLoad, taken: number | null): TakenLoad =>
  taken === null
    ? NOTHING
    : { takenGrams: taken, beforeGrams: beforeGrams === null ? null : Math.min(beforeGrams, taken) }
