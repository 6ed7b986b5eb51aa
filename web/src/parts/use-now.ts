import { useEffect, useState } from 'react'

const TICK_MS = 20_000

/** The time, anew a few times a minute: for what moves with the clock. */
export function useNow(): Date {
  const [now, setNow] = useState(() => new Date())
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), TICK_MS)
    return () => clearInterval(timer)
  }, [])
  return now
}
