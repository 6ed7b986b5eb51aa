import { SAME_LOAD_GRAMS, type ScaleView } from '@fleam/core/weighing'
import { useEffect, useRef } from 'react'

/** A load must lie still for so long before it is taken by itself: long enough to pull the hand away. */
const STILL_MS = 450

export interface AutoTakeInput {
  isOn: boolean
  view: ScaleView
  /** The weight could be one of the chosen pile's; where not, the cook is asked instead. */
  isPlausible: boolean
  take: () => void
  ask: () => void
}

/** Takes a settled load by itself when the load has changed (an option); a load that was undone is left alone. */
export function useAutoTake({ isOn, view, isPlausible, take, ask }: AutoTakeInput): {
  leaveAlone: (grams: number) => void
} {
  const latest = useRef({ take, ask, isPlausible })
  latest.current = { take, ask, isPlausible }
  const leftAlone = useRef<number | null>(null)
  const grams = view.kind === 'ready' ? view.grams : null
  if (view.kind === 'empty') leftAlone.current = null
  useEffect(() => {
    if (!isOn || grams === null) return
    if (leftAlone.current !== null && Math.abs(leftAlone.current - grams) < SAME_LOAD_GRAMS) return
    const timer = setTimeout(
      () => (latest.current.isPlausible ? latest.current.take() : latest.current.ask()),
      STILL_MS,
    )
    return () => clearTimeout(timer)
  }, [isOn, grams])
  return {
    leaveAlone: (undone) => {
      leftAlone.current = undone
    },
  }
}
