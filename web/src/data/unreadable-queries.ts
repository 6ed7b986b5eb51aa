import { unreadableOperations } from '@fleam/contract/unreadable/operations'
import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import { useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'

const { listUnreadable, strikeUnreadable } = unreadableOperations

/** It is rare and takes a look at every list: asked for now and then. */
const FRESH_MS = 10 * 60_000

/** What the lists of the kitchen leave out because it cannot be read. */
export const useUnreadable = () => useAnswer(listUnreadable, {}, { staleTime: FRESH_MS })

export function useStrikeUnreadable() {
  const keep = useKeepAnswer(listUnreadable)
  const invalidate = useInvalidate('planning')
  return useChange(
    strikeUnreadable,
    ({ kind, id }: UnreadableRow) => ({ kind, rowId: id }),
    (rows) => {
      keep({}, rows)
      return invalidate()
    },
  )
}
