import type {
  LogbookChanges,
  LogbookDoubts,
  LogbookExportQuery,
  LogbookFilters,
  LogbookPage,
  LogbookSeries,
  LogbookSort,
  LogbookSummaryAnswer,
  RecordsQuery,
  SummaryQuery,
} from '@fleam/contract'
import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { getJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'

/** Asked for together: filters with what is asked of the records that they let through. */
function searchOf(asked: Readonly<Record<string, string | readonly string[] | number | undefined>>): string {
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries(asked)) {
    for (const each of [value ?? []].flat()) if (String(each) !== '') search.append(name, String(each))
  }
  return search.toString()
}

/** Where the records of a view are to be had as one file. */
export const logbookFilePath = (kitchenId: string, asked: LogbookExportQuery) =>
  `${kitchenPath(kitchenId)}/logbook/records.json?${searchOf({ ...asked })}`

const logbookKey = (kitchenId: string) => ['kitchen', kitchenId, 'logbook']

/** What the records that count say, by a grouping. The answer before stays until another is there. */
export function useLogbookSummary(filters: LogbookFilters, group: SummaryQuery['group']) {
  const { id } = useKitchen()
  const search = searchOf({ ...filters, group })
  return useQuery({
    queryKey: [...logbookKey(id), 'summary', search],
    queryFn: () => getJson<LogbookSummaryAnswer>(`${kitchenPath(id)}/logbook/summary?${search}`),
    placeholderData: keepPreviousData,
  })
}

export interface RecordsAsked {
  words: string
  counted: RecordsQuery['counted']
  sort: LogbookSort
  order: RecordsQuery['order']
}

/** Closed records, page by page. */
export function useLogbookRecords(filters: LogbookFilters, asked: RecordsAsked) {
  const { id } = useKitchen()
  const search = searchOf({ ...filters, ...asked })
  return useInfiniteQuery({
    queryKey: [...logbookKey(id), 'records', search],
    queryFn: ({ pageParam }) =>
      getJson<LogbookPage>(`${kitchenPath(id)}/logbook/records?${search}${pageParam ? `&cursor=${pageParam}` : ''}`),
    initialPageParam: '',
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  })
}

/** How many closed records there are of a kind. */
export function useLogbookTotal(asked: Pick<RecordsQuery, 'counted'>) {
  const { id } = useKitchen()
  const search = searchOf({ ...asked, limit: 1 })
  return useQuery({
    queryKey: [...logbookKey(id), 'total', search],
    queryFn: async () => (await getJson<LogbookPage>(`${kitchenPath(id)}/logbook/records?${search}`)).total,
  })
}

/** Records that cannot be right. */
export function useLogbookDoubts() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: [...logbookKey(id), 'doubts'],
    queryFn: () => getJson<LogbookDoubts>(`${kitchenPath(id)}/logbook/doubts`),
  })
}

/** What is not what it was. */
export function useLogbookChanges() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: [...logbookKey(id), 'changes'],
    queryFn: () => getJson<LogbookChanges>(`${kitchenPath(id)}/logbook/changes`),
  })
}

/** Yields of an item and style in the order of their days; asked for once both are chosen. */
export function useLogbookSeries(item: string | null, style: string | null, cook: string | null) {
  const { id } = useKitchen()
  const search = searchOf({ item: item ?? '', style: style ?? '', cook: cook ?? '' })
  return useQuery({
    queryKey: [...logbookKey(id), 'chart', search],
    queryFn: () => getJson<LogbookSeries>(`${kitchenPath(id)}/logbook/chart?${search}`),
    enabled: item !== null && style !== null,
    placeholderData: keepPreviousData,
  })
}
