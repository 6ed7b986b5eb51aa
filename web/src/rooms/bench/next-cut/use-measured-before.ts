import { useEffect, useState } from 'react'
import type { LaidDraft } from './use-next-cut.ts'

/**
 * What Knife lines know on this device of a piece of a shape, uncut, by tape or by a photograph; null where nothing. The
 * bench opens without what reads it.
 */
export function useMeasuredBefore(shape: string): LaidDraft | null {
  const [piece, setPiece] = useState<LaidDraft | null>(null)
  useEffect(() => {
    let isLeft = false
    void import('../../../parts/measured-piece.ts').then(({ keptKnifeLines, wholePiece }) => {
      const draft = keptKnifeLines()
      if (isLeft || draft?.shape !== shape || draft.way === 'template' || draft.taken.length > 0) return
      const { weight, length, profile, biasAngle } = wholePiece(draft)
      setPiece({ weight, length, profile, biasAngle, way: draft.way })
    })
    return () => {
      isLeft = true
    }
  }, [shape])
  return piece
}
