import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Cook } from '@fleam/contract/kitchen/schemas'
import type { Assumptions as AssumptionsTried, WhatIf } from '@fleam/contract/what-if/schemas'
import { documentOf, labourSoFar } from '@fleam/core/fabrication'
import { useCallback, useMemo, useState } from 'react'
import { useCooks } from '../../data/queries.ts'
import { useWhatIfs } from '../../data/what-if-queries.ts'
import { merge } from '../../outbox/merge.ts'
import { useOutbox } from '../../outbox/page-outbox.ts'
import { isSameLabour, labourFromOf } from './labour-from.ts'
import { useTryOut } from './use-try-out.ts'

const NONE: readonly WhatIf[] = []
const NOBODY: readonly Cook[] = []

/** A record with what this device adds to it, as it is recorded and as it is tried out. */
export function useVerdict(state: FabricationState) {
  const { record } = state
  const { waiting, stored } = useOutbox()
  const [openedAt] = useState(() => Date.now())
  const whatIfs = useWhatIfs(record.id)
  const tryOut = useTryOut(record, whatIfs.kept.data ?? NONE)
  const { facts, standing } = useMemo(() => merge(state, waiting, stored), [state, waiting, stored])
  const { data: cooks = NOBODY } = useCooks()
  const documentWith = useCallback(
    (tried: Partial<AssumptionsTried> = {}) => {
      // Clocks that run speak for the labour unless somebody tries out another.
      const isClocked = tried.labour === undefined || isSameLabour(tried.labour, record.labour)
      const cookName = (id: string) => cooks.find((cook) => cook.id === id)?.name
      const clocks = isClocked ? { nowMs: openedAt, cookName } : {}
      return documentOf({ ...record, ...tried }, facts, { ...clocks, standing })
    },
    [record, facts, standing, openedAt, cooks],
  )
  const recorded = useMemo(() => documentWith(), [documentWith])
  const { isTried, assumptions } = tryOut
  const document = useMemo(
    () => (isTried ? documentWith(assumptions) : recorded),
    [isTried, assumptions, documentWith, recorded],
  )
  const labourSource = useMemo(() => {
    const { labour } = tryOut.record
    const isOpen = record.status === 'open' && isSameLabour(labour, record.labour)
    return isOpen ? labourSoFar(record, facts, openedAt, () => undefined).source : labourFromOf(record, labour)
  }, [tryOut.record, record, facts, openedAt])
  return { record, facts, isTried, tryOut, whatIfs, documentWith, recorded, document, labourSource }
}
export type VerdictState = ReturnType<typeof useVerdict>
