import { useEffect, useRef } from 'react'
import { digitOf, isPressing, isTyping } from '../../parts/keys.ts'
import type { Bench } from './state/use-bench.ts'

/** What keys do beside the bench's own actions. */
export interface BenchKeyActions {
  openHelp: () => void
  finish: () => void
  typeWeight: () => void
}

/**
 * `1`–`9` pile, `Enter` or `Space` take, `T` tare, `U` undo, `Shift U` do again, `N` next step, `?` help. On a number pad alone:
 * `+` next step, `−` undo, `0` tare, `×` type a weight, `÷` the step before, the decimal key finishes.
 */
export function useBenchKeys(bench: Bench, actions: BenchKeyActions): void {
  const latest = useRef({ bench, actions })
  latest.current = { bench, actions }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      if ((event.target as HTMLElement | null)?.closest?.('[role="dialog"]')) return
      const action = actionOf(event, latest.current.bench, latest.current.actions)
      if (!action) return
      event.preventDefault()
      action()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}

function actionOf(event: KeyboardEvent, bench: Bench, actions: BenchKeyActions): (() => void) | null {
  const digit = digitOf(event)
  const pile = digit === null ? undefined : bench.live.record.piles[digit - 1]
  if (pile) return () => bench.touchPile(pile.id)
  if (event.code.startsWith('Numpad') && event.key !== 'Enter') return padActionOf(event.code, bench, actions)
  switch (event.key.toLowerCase()) {
    case 'enter':
    case ' ':
      return isPressing(event) ? null : bench.takeSettled
    case 't':
      return bench.tare
    case 'u':
      return event.shiftKey ? bench.redo : bench.undo
    case 'n':
      return bench.nextStep
    case 'escape':
      return bench.picked ? () => bench.pick(null) : null
    case '?':
      return actions.openHelp
    default:
      return null
  }
}

function padActionOf(code: string, bench: Bench, actions: BenchKeyActions): (() => void) | null {
  switch (code) {
    case 'NumpadAdd':
      return bench.nextStep
    case 'NumpadSubtract':
      return bench.undo
    case 'Numpad0':
      return bench.tare
    case 'NumpadMultiply':
      return actions.typeWeight
    case 'NumpadDivide':
      return () => bench.goToStep(bench.stepAt - 1)
    case 'NumpadDecimal':
      return actions.finish
    default:
      return null
  }
}
