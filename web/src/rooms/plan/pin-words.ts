import type { DraftPin } from '@fleam/core/planning'

/** `none`, `at least 6 packs`; null where nothing is held. */
export function heldWords(held: Pick<DraftPin, 'atLeast' | 'atMost'> | undefined, unit: string): string | null {
  if (!held) return null
  if (held.atMost === 0) return 'none'
  if (held.atLeast !== null) return `at least ${held.atLeast} ${unit}`
  return `at most ${held.atMost} ${unit}`
}
