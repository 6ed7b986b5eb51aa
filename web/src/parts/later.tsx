import { type ReactNode, startTransition, useEffect, useState } from 'react'

/** What lies below the first screen: drawn once that is there, in pieces that no touch has to wait for. */
export function Later({ children }: { children: ReactNode }) {
  const [isThere, setThere] = useState(false)
  useEffect(() => {
    // A frame may still be under way: the next one has been painted when the timer after it fires.
    let timer: ReturnType<typeof setTimeout> | undefined
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setThere(true)))
    })
    return () => {
      cancelAnimationFrame(frame)
      clearTimeout(timer)
    }
  }, [])
  return isThere ? children : null
}
