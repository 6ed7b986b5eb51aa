import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import type { Scope } from './scope.ts'

/**
 * What `read` makes of each row. A row that it cannot read is left out alone and told, so that one that a version before
 * stored, or a hand changed, takes no list with it.
 */
export function eachReadable<R, T>(
  scope: Scope,
  rows: readonly R[],
  rowOf: (row: R) => UnreadableRow,
  read: (row: R) => T,
): T[] {
  return rows.flatMap((row) => {
    try {
      return [read(row)]
    } catch (error) {
      tellUnreadable(scope, rowOf(row), error)
      return []
    }
  })
}

/** Rows that were told by this process: a list that is asked for every few seconds is no reason to write it each time. */
const reported = new Set<string>()

/** Says that a row cannot be read: to whoever asked for such rows, and once to the log. */
function tellUnreadable(scope: Scope, row: UnreadableRow, error: unknown): void {
  scope.onUnreadable?.(row)
  const key = `${scope.kitchen.id} ${row.kind} ${row.id}`
  if (reported.has(key)) return
  reported.add(key)
  const reason = error instanceof Error ? error.message : String(error)
  process.stderr.write(`A ${row.kind} cannot be read and is left out of lists (${row.id}): ${reason.slice(0, 300)}\n`)
}
