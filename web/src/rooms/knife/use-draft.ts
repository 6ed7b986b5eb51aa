import { type ItemShape, SHAPES } from '@fleam/catalogue'
import type { KnifeLines } from '@fleam/core/portioning'
import { useCallback, useState } from 'react'
import { keepKnifeLines, keptKnifeLines, shapeById } from '../../parts/measured-piece.ts'
import { freshDraft } from './draft.ts'

export interface DraftState {
  draft: KnifeLines
  change: (changes: Partial<KnifeLines>) => void
  /** Puts another piece in its place. */
  replace: (draft: KnifeLines) => void
  /** Another one each time that the fields have to be filled anew. */
  fill: number
}

/** The piece to begin with: the one that was here last, unless another shape was asked for. */
function first(shape: string | null): KnifeLines {
  const kept = keptKnifeLines()
  if (kept && (shape === null || kept.shape === shape)) return kept
  return freshDraft(shape === null ? (SHAPES[0] as ItemShape) : shapeById(shape))
}

/** The piece that is planned; it stays on this device. `shape` is one that was asked for. */
export function useDraft(shape: string | null): DraftState {
  const [draft, setDraft] = useState(() => first(shape))
  const [fill, setFill] = useState(0)
  const change = useCallback((changes: Partial<KnifeLines>) => {
    setDraft((before) => {
      const next = { ...before, ...changes }
      keepKnifeLines(next)
      return next
    })
  }, [])
  const replace = useCallback(
    (next: KnifeLines) => {
      change(next)
      setFill((before) => before + 1)
    },
    [change],
  )
  return { draft, change, replace, fill }
}
