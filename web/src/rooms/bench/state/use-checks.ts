import { DEFAULT_LIMITS } from '@fleam/core/fabrication'
import { nextPile, type SequenceInput, type WeighingCheck, weighingChecks } from '@fleam/core/weighing'
import { useMemo, useState } from 'react'
import type { LiveFabrication } from './use-live-fabrication.ts'

const keyOf = ({ code, readingId, pileId }: WeighingCheck) => `${code} ${readingId ?? pileId ?? ''}`

export interface ChecksState {
  /** What looks wrong and nobody has answered yet, the most pressing first. */
  open: readonly WeighingCheck[]
  /** The cook has looked, and it is right. */
  confirm: (check: WeighingCheck) => void
}

/** What looks wrong while weighing: asked about at once, never blocking. */
export function useChecks(live: LiveFabrication, progress: SequenceInput): ChecksState {
  const [confirmed, setConfirmed] = useState<ReadonlySet<string>>(() => new Set())
  const { record, standing, document } = live
  const all = useMemo(
    () =>
      weighingChecks({
        piles: record.piles,
        standing,
        document,
        limits: DEFAULT_LIMITS,
        isAllWeighed: nextPile(progress) === null,
      }),
    [record.piles, standing, document, progress],
  )
  return {
    open: all.filter((check) => !confirmed.has(keyOf(check))),
    confirm: (check) => setConfirmed((before) => new Set(before).add(keyOf(check))),
  }
}
