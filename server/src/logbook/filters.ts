import type { LogbookFilters } from '@fleam/contract/logbook/schemas'
import { Refusal } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import { namesOf } from './names.ts'
import { KEY, type NamedKind } from './where.ts'

/** Refuses a range the wrong way round, and ids that this kitchen does not have, each by its field. */
export async function refuseFilters(scope: Scope, filters: LogbookFilters): Promise<void> {
  const issues: { path: string; message: string }[] = []
  if (filters.from && filters.to && filters.from > filters.to) {
    issues.push({ path: 'from', message: `must not be after ${filters.to}` })
  }
  const kinds = (Object.keys(KEY) as NamedKind[]).filter((kind) => filters[kind] !== undefined)
  const names = kinds.length > 0 ? await namesOf(scope, kinds) : null
  for (const kind of kinds) {
    const chosen = filters[kind] as string | string[]
    ;[chosen].flat().forEach((id, index) => {
      if (names?.[kind].has(id)) return
      issues.push({
        path: Array.isArray(chosen) ? `${kind}[${index}]` : kind,
        message: `is no ${kind} of this kitchen`,
      })
    })
  }
  if (issues.length > 0) {
    throw new Refusal('invalid-input', issues.map(({ path, message }) => `${path} ${message}`).join(', '), { issues })
  }
}
