import type { ScaleReading } from '@fleam/contract'
import { useState } from 'react'
import { useScale } from '../../data/scale.ts'
import { type ScaleView, stillTaken, viewOf } from './take.ts'

export interface BenchScaleState {
  view: ScaleView
  reading: ScaleReading | null
  isConnected: boolean
  /** Remembers that what lies on the plate has been taken. */
  markTaken: () => void
  /** A load that was taken back may be taken again, onto the right pile. */
  forgetTaken: () => void
}

/** The scale as the bench sees it: away, empty, moving, ready to take, or taken. */
export function useBenchScale(containerGrams: number): BenchScaleState {
  const { reading, connected } = useScale()
  const [takenGrams, setTakenGrams] = useState<number | null>(null)
  const taken = stillTaken(reading, takenGrams)
  if (taken !== takenGrams) setTakenGrams(taken)
  return {
    view: viewOf(reading, taken, containerGrams),
    reading,
    isConnected: connected,
    markTaken: () => setTakenGrams(reading?.grams ?? null),
    forgetTaken: () => setTakenGrams(null),
  }
}
