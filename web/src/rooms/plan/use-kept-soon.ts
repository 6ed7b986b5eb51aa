import { useEffect, useRef } from 'react'

interface KeptSoonOptions<T> {
  isChanged: boolean
  /** A save is under way, or failed and waits to be tried again. */
  isHeld: boolean
  afterMs: number
  /** Keeps a value; what fails is told where it failed. */
  save: (value: T) => Promise<unknown>
  /** Keeps what was changed a moment before the room was left; nobody is there to hear of it. */
  saveLast: (value: T) => void
}

/**
 * Keeps what is changed a moment later, one save after the other; what was changed a moment before somebody leaves the
 * room is kept too, behind what is being kept.
 */
export function useKeptSoon<T>(value: T, options: KeptSoonOptions<T>): void {
  const { isChanged, isHeld, afterMs } = options
  const current = useRef(options)
  current.current = options
  const sending = useRef<Promise<unknown>>(Promise.resolve())
  const unsaved = useRef<{ value: T } | null>(null)
  unsaved.current = isChanged ? { value } : null
  useEffect(
    () => () => {
      const last = unsaved.current
      if (last !== null) void sending.current.then(() => current.current.saveLast(last.value))
    },
    [],
  )
  useEffect(() => {
    if (!isChanged || isHeld) return
    const timer = setTimeout(() => {
      sending.current = current.current.save(value).catch(() => {})
    }, afterMs)
    return () => clearTimeout(timer)
  }, [value, isChanged, isHeld, afterMs])
}
