import {
  type ChartQuery,
  type LogbookChanges,
  type LogbookDoubts,
  type LogbookExportQuery,
  type LogbookFilters,
  type LogbookPage,
  type LogbookSeries,
  type LogbookSummaryAnswer,
  MAX_IMPORTED,
  type RecordsQuery,
  type SummaryQuery,
} from '@fleam/contract'
import { doubtsOf, summariseLogbook, whatChanged } from '@fleam/core'
import { Refusal } from '../http/index.ts'
import { dayOf, ofKitchen, type Scope, within } from '../scope/index.ts'
import { cursorOf, readCursor } from './cursor.ts'
import { idsOf, recordsPage } from './records-store.ts'
import { changeRecords, doubtRecords, type NamedChangeRecord, type NamedDoubtRecord, seriesOf } from './series-store.ts'
import { cellsOf } from './summary-store.ts'

/** What the records that count say, by a grouping and in all. */
export async function summary(scope: Scope, { group, ...filters }: SummaryQuery): Promise<LogbookSummaryAnswer> {
  await refuseFilters(scope, filters)
  const cells = await cellsOf(scope, filters, group)
  const names = new Map(cells.map(({ member, name }) => [member, name]))
  const { groups, all } = summariseLogbook(cells)
  if (group === 'none') return { groups: [], all }
  const named = groups.map((each) => ({ ...each, name: names.get(each.key) ?? null }))
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
  const known = await changeRecords(scope, today)
  const { changes: found, tests } = whatChanged(known, today)
  const named = found.map((change) => {
    // A style that is only written may be called alike in two items.
    const isOwn = (record: NamedChangeRecord) =>
      record[change.of] === change.key && (change.item === null || record.item === change.item)
    const own = known.find(isOwn)
    const name = change.of === 'style' ? `${own?.itemName}: ${own?.styleName}` : own?.[`${change.of}Name`]
    return { ...change, name: name ?? change.key }
  })
  return { changes: named, tests }
}

/** So many are told at a time: nobody looks at more. */
const MAX_DOUBTS = 200

/** Records that cannot be right, newest first, each with what it is. */
export async function doubts(scope: Scope): Promise<LogbookDoubts> {
  const known = await doubtRecords(scope)
  const byId = new Map(known.map((record) => [record.id, record]))
  const found = doubtsOf(known).map((why) => {
    const { id, day, itemName, styleName, cookName } = byId.get(why.id) as NamedDoubtRecord
    return { id, date: day, item: itemName, style: styleName, cook: cookName, why }
  })
  return { doubts: found.reverse().slice(0, MAX_DOUBTS), records: known.length }
}

/** Yields of one item and style, of one cook where one is named. */
export async function chart(scope: Scope, query: ChartQuery): Promise<LogbookSeries> {
  await refuseFilters(scope, query)
  return { points: await seriesOf(scope, query) }
}

const KINDS = { item: 'Item', style: 'Style', supplier: 'Supplier', cook: 'Cook' } as const

/** Refuses a range the wrong way round, and ids that this kitchen does not have, each by its field. */
async function refuseFilters(scope: Scope, filters: LogbookFilters): Promise<void> {
  const issues: { path: string; message: string }[] = []
  if (filters.from && filters.to && filters.from > filters.to) {
    issues.push({ path: 'from', message: `must not be after ${filters.to}` })
  }
  for (const [field, kind] of Object.entries(KINDS)) {
    const chosen = filters[field as keyof typeof KINDS]
    if (!chosen) continue
    const ids = [chosen].flat()
    const model = scope.database.models[kind] as unknown as Findable
    const rows = await model.findAll({
      attributes: ['id'],
      where: ofKitchen(scope, { id: ids }),
      raw: true,
      ...within(scope),
    })
    const known = new Set(rows.map((row) => row.id))
    ids.forEach((id, at) => {
      if (known.has(id)) return
      issues.push({
        path: Array.isArray(chosen) ? `${field}[${at}]` : field,
        message: `is no ${field} of this kitchen`,
      })
    })
  }
  if (issues.length > 0) {
    throw new Refusal('invalid-input', issues.map(({ path, message }) => `${path} ${message}`).join(', '), { issues })
  }
}

/** What the four kinds of rows have in common. */
interface Findable {
  findAll: (options: object) => Promise<{ id: string }[]>
}
