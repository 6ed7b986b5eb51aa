import { useEffect } from 'react'
import type { NavigateFunction } from 'react-router-dom'
import { isTyping } from '../parts/keys.ts'
import { ROOMS } from './rooms.ts'

const WAIT_MS = 1500

/** `g` and then a letter goes to a room. */
export function useRoomKeys(navigate: NavigateFunction): void {
  useEffect(() => {
    let goAt = 0
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'g') {
        goAt = event.timeStamp
        return
      }
      const room = event.timeStamp - goAt < WAIT_MS ? ROOMS.find((room) => room.letter === event.key) : undefined
      goAt = 0
      if (!room) return
      event.preventDefault()
      event.stopImmediatePropagation()
      navigate(room.path)
    }
    // Before the room's own keys, so that the letter after `g` means the room alone.
    window.addEventListener('keydown', onKey, { capture: true })
    return () => window.removeEventListener('keydown', onKey, { capture: true })
  }, [navigate])
}
