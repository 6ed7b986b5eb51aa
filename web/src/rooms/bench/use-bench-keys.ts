import { useEffect, useRef } from 'react'
import { tareScale } from '../../data/scale.ts'
import { isPressing, isTyping } from '../../parts/keys.ts'
import type { Bench } from './use-bench.ts'

/** `1`–`9` pile, `Enter` or `Space` take, `T` tare, `U` undo, `N` next, `?` help. */
export function useBenchKeys(bench: Bench, openHelp: () => void): void {
  const latest = useRef({ bench, openHelp })
  latest.current = { bench, openHelp }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      const action = actionOf(event, latest.current.bench, latest.current.openHelp)
      if (!action) return
      event.preventDefault()
      action()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}

function actionOf(event: KeyboardEvent, bench: Bench, openHelp: () => void): (() => void) | null {
  const pile = /^[1-9]$/.test(event.key) ? bench.live.record.piles[Number(event.key) - 1] : undefined
  if (pile) return () => bench.touchPile(pile.id)
  switch (event.key.toLowerCase()) {
    case 'enter':
    case ' ':
      return isPressing(event) ? null : bench.takeSettled
    case 't':
      return () => void tareScale().catch(() => {})
    case 'u':
      return bench.undo
    case 'n':
      return bench.nextPile
    case '?':
      return openHelp
    default:
      return null
  }
}
