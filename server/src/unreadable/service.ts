import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import { abandonRecord, latest, statusById } from '../fabrication/index.ts'
import { notFound } from '../http/index.ts'
import { deletePlanRow, everySchedule, planRows, updatePlan } from '../planning/index.ts'
import { inTransaction, type Scope } from '../scope/index.ts'

/** The newest records, those that the lists show. */
const LOOKED_AT = 60

/** Everything of the kitchen that its lists leave out because it cannot be read. */
export async function unreadable(scope: Scope): Promise<UnreadableRow[]> {
  const rows = new Map<string, UnreadableRow>()
  const telling = { ...scope, onUnreadable: (row: UnreadableRow) => void rows.set(`${row.kind} ${row.id}`, row) }
  await planRows(telling)
  await everySchedule(telling)
  await latest(telling, LOOKED_AT)
  const standing: UnreadableRow[] = []
  for (const row of rows.values()) {
    const isStruck = row.kind === 'fabrication' && (await statusById(scope, row.id)) === 'abandoned'
    if (!isStruck) standing.push(row)
  }
  return standing
}

const STRIKE: Readonly<Record<UnreadableRow['kind'], (scope: Scope, id: string) => Promise<void>>> = {
  plan: deletePlanRow,
  schedule: (scope, id) => updatePlan(scope, id, { schedule: null }),
  // What was weighed is kept: it counts nowhere from here on.
  fabrication: abandonRecord,
}

/** Strikes something that cannot be read; what can be read is not struck here. */
export const strike = (scope: Scope, { kind, id }: Pick<UnreadableRow, 'kind' | 'id'>): Promise<void> =>
  inTransaction(scope, async (inside) => {
    if (!(await unreadable(inside)).some((row) => row.kind === kind && row.id === id)) {
      throw notFound(`${kind} that cannot be read`)
    }
    await STRIKE[kind](inside, id)
  })
