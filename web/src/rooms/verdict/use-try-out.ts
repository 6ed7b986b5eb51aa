import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { assumptionsOf } from '@fleam/contract/what-if/assumptions'
import type { Assumptions, WhatIf } from '@fleam/contract/what-if/schemas'
import { useCallback, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router-dom'

/** Names of the address's parts: a link with them opens the same view. */
export const OPENED = 'what-if'
export const BESIDE = 'beside'

/** Changes some assumptions, by what they were a moment ago. */
export type ChangeAssumptions = (changesOf: (before: Assumptions) => Partial<Assumptions>) => void

export interface TryOut {
  /** The record as it would be, or the record itself. */
  record: FabricationRecord
  assumptions: Assumptions
  /** The kept what-if that is open; null for the record or something that has no name yet. */
  opened: WhatIf | null
  /** A what-if is open, or something was typed. */
  isTried: boolean
  /** Something is tried out that is neither in the record nor kept. */
  isEdited: boolean
  /** Another one each time that fields have to be filled anew. */
  fieldsKey: string
  change: ChangeAssumptions
  /** Opens a kept what-if, or the record with null; what was only typed is let go. */
  open: (id: string | null) => void
}

/** What is tried out on a record: nothing, a kept what-if that the address names, or what was just typed. */
export function useTryOut(record: FabricationRecord, kept: readonly WhatIf[]): TryOut {
  const [search, setSearch] = useSearchParams()
  const [edited, setEdited] = useState<Assumptions | null>(null)
  const [fill, setFill] = useState(0)
  const opened = kept.find((row) => row.id === search.get(OPENED)) ?? null
  const recorded = useMemo(() => assumptionsOf(record), [record])
  const assumptions = edited ?? opened?.assumptions ?? recorded
  const change = useCallback<ChangeAssumptions>(
    (changesOf) =>
      setEdited((edits) => {
        const before = edits ?? opened?.assumptions ?? recorded
        return { ...before, ...changesOf(before) }
      }),
    [opened, recorded],
  )
  const open = useCallback(
    (id: string | null) => {
      setEdited(null)
      setFill((before) => before + 1)
      setSearch(
        (before) => {
          if (id === null) before.delete(OPENED)
          else before.set(OPENED, id)
          return before
        },
        { replace: true, preventScrollReset: true },
      )
    },
    [setSearch],
  )
  const isTried = edited !== null || opened !== null
  return {
    record: isTried ? { ...record, ...assumptions } : record,
    assumptions,
    opened,
    isTried,
    isEdited: edited !== null,
    fieldsKey: `${opened?.id ?? 'record'}-${record.version}-${fill}`,
    change,
    open,
  }
}
