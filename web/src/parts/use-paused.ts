import { startTransition, useEffect, useState } from 'react'

/** Longer than from key to key: what is heavy must not begin between two of them. */
const PAUSE_MS = 400

/** A value that follows once it has not changed for a moment: for what is too heavy to follow every stroke. */
export function usePaused<T>(value: T): T {
  const [paused, setPaused] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setPaused(value)), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [value])
  return paused
}
