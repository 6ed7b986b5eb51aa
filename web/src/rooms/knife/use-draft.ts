import { SHAPES } from '@fleam/catalogue'
import { type KnifeLines, knifeLines } from '@fleam/contract'
import { useCallback, useState } from 'react'
import { readSetting, writeSetting } from '../../parts/settings.ts'
import { freshDraft } from './draft.ts'

const KEPT = 'knife-lines'

/** What was on this device last; a piece of the first shape where there is nothing, or nothing that can be read. */
function kept(): KnifeLines {
  try {
    const read = knifeLines.safeParse(JSON.parse(readSetting(KEPT) ?? 'null'))
    if (read.success) return read.data
  } catch {
    // Half a text is no piece.
  }
  return freshDraft(SHAPES[0] as (typeof SHAPES)[number])
}

export interface DraftState {
  draft: KnifeLines
  change: (changes: Partial<KnifeLines>) => void
  /** Puts another piece in its place. */
  replace: (draft: KnifeLines) => void
  /** Another one each time that the fields have to be filled anew. */
  fill: number
}

/** The piece that is planned; it stays on this device. */
export function useDraft(): DraftState {
  const [draft, setDraft] = useState(kept)
  const [fill, setFill] = useState(0)
  const change = useCallback((changes: Partial<KnifeLines>) => {
    setDraft((before) => {
      const next = { ...before, ...changes }
      writeSetting(KEPT, JSON.stringify(next))
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
