import { useEffect, useState } from 'react'

const PAUSE_MS = 200

/** A value that follows once it has not changed for a moment: for what is too heavy to follow every stroke. */
export function usePaused<T>(value: T): T {
  const [paused, setPaused] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setPaused(value), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [value])
  return paused
}
