import {
  type LogbookChanges,
  type LogbookExportQuery,
  type LogbookPage,
  type LogbookSummaryAnswer,
  MAX_IMPORTED,
  type RecordsQuery,
  type SummaryQuery,
} from '@fleam/contract/logbook/schemas'
import { summariseLogbook, whatChanged } from '@fleam/core/logbook'
import { Refusal } from '../http/index.ts'
import { dayOf, type Scope } from '../scope/index.ts'
import { cursorOf, readCursor } from './cursor.ts'
import { refuseFilters } from './filters.ts'
import { nameOf, namesOf } from './names.ts'
import { idsOf, recordsPage } from './records-store.ts'
import { changeRecords } from './series-store.ts'
import { isNamed, sumsOf } from './summary-store.ts'

/** What the records that count say, by a grouping and in all. */
export async function summary(scope: Scope, { group, ...filters }: SummaryQuery): Promise<LogbookSummaryAnswer> {
  await refuseFilters(scope, filters)
  const names = isNamed(group) ? await namesOf(scope, [group]) : null
  const { sums, yields } = await sumsOf(scope, filters, group, names)
  const { groups, all } = summariseLogbook(sums, yields)
  if (group === 'none') return { groups: [], all }
  const named = groups.map((summaryGroup) => ({
    ...summaryGroup,
    name: names && isNamed(group) ? nameOf(names, group, summaryGroup.key) : summaryGroup.key,
  }))
  return { groups: named.sort(isByNumber(group) ? byNumber : byText), all }
}

interface Named {
  key: string | null
  name: string | null
}

const isByNumber = (group: SummaryQuery['group']) => group === 'size' || group === 'stiffness'
const byNumber = (a: Named, b: Named) =>
  Number(a.key ?? Number.POSITIVE_INFINITY) - Number(b.key ?? Number.POSITIVE_INFINITY)
/** Nobody comes last. */
const byText = (a: Named, b: Named) =>
  a.name === null || b.name === null ? Number(a.name === null) - Number(b.name === null) : a.name.localeCompare(b.name)

/** Records page by page. */
export async function records(scope: Scope, query: RecordsQuery): Promise<LogbookPage> {
  const after = readCursor(query)
  await refuseFilters(scope, query)
  const { rows, total, end } = await recordsPage(scope, query, after)
  return { rows, total, next: end ? cursorOf(query, end) : null }
}

/** Ids of the records of a file; refuses more than can be taken in again at once. */
export async function exportIds(scope: Scope, query: LogbookExportQuery): Promise<string[]> {
  await refuseFilters(scope, query)
  const ids = await idsOf(scope, query, MAX_IMPORTED)
  if (ids.length <= MAX_IMPORTED) return ids
  throw new Refusal('invalid-input', `More than ${MAX_IMPORTED} records: choose a shorter span.`, {
    issues: [{ path: 'from', message: `lets more than ${MAX_IMPORTED} records through` }],
  })
}

/** What is not what it was, in words that can be read: names beside the ids. */
export async function changes(scope: Scope): Promise<LogbookChanges> {
  const today = dayOf(scope)
  const [changeSources, names] = await Promise.all([changeRecords(scope, today), namesOf(scope)])
  const { changes: found, tests } = whatChanged(changeSources, today)
  const named = found.map((change) => {
    const name = nameOf(names, change.of, change.key)
    const attributions = change.attributions.map(({ of, moved, held, ...rest }) => ({
      ...rest,
      of,
      moved: moved.map((key) => nameOf(names, of, key)),
      held: held.map((key) => nameOf(names, of, key)),
    }))
    const whole = change.item === null ? name : `${nameOf(names, 'item', change.item)}: ${name}`
    return { ...change, name: whole, attributions }
  })
  return { changes: named, tests }
}
