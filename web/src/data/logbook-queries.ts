import { editOf } from '@fleam/contract/edit'
import type { FabricationEdit, FabricationRecord, FabricationState } from '@fleam/contract/fabrication'
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
} from '@fleam/contract/logbook'
import type {
  LogbookCurve,
  LogbookLearning,
  LogbookSeasons,
  LogbookTurns,
  LogbookView,
} from '@fleam/contract/logbook-findings'
import type { SupplierCards, SupplierCardsQuery } from '@fleam/contract/supplier-card'
import type { DoubtKind } from '@fleam/core/logbook'
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { v7 as newId } from 'uuid'
import { deleteJson, getJson, postJson, putJson } from './api.ts'
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

/** Where a span of days is to be had as one page. */
export const periodPath = (kitchenId: string, from: string, to: string) =>
  `${kitchenPath(kitchenId)}/logbook/period.pdf?${searchOf({ from, to })}`

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

/** Some records by their ids, in the order of their days. */
export function useRecordsBeside(ids: readonly string[]) {
  const { id } = useKitchen()
  const search = searchOf({ id: ids, order: 'ascending' })
  return useQuery({
    queryKey: [...logbookKey(id), 'beside', search],
    queryFn: async () => (await getJson<LogbookPage>(`${kitchenPath(id)}/logbook/records?${search}`)).rows,
    enabled: ids.length > 0,
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

/** What is known of every supplier, one card each. */
export function useSupplierCards(span: SupplierCardsQuery) {
  const { id } = useKitchen()
  const search = searchOf({ ...span })
  return useQuery({
    queryKey: [...logbookKey(id), 'supplier-cards', search],
    queryFn: () => getJson<SupplierCards>(`${kitchenPath(id)}/supplier-cards?${search}`),
    placeholderData: keepPreviousData,
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

/** Where more practice would pay, and which cooks are improving. */
export function useLogbookLearning(filters: LogbookFilters) {
  const { id } = useKitchen()
  const search = searchOf({ ...filters })
  return useQuery({
    queryKey: [...logbookKey(id), 'learning', search],
    queryFn: () => getJson<LogbookLearning>(`${kitchenPath(id)}/logbook/learning?${search}`),
    placeholderData: keepPreviousData,
  })
}

/** A cook's records of an item and style by her own repetition number; asked for once all three are chosen. */
export function useLogbookCurve(item: string | null, style: string | null, cook: string | null) {
  const { id } = useKitchen()
  const search = searchOf({ item: item ?? '', style: style ?? '', cook: cook ?? '' })
  return useQuery({
    queryKey: [...logbookKey(id), 'curve', search],
    queryFn: () => getJson<LogbookCurve>(`${kitchenPath(id)}/logbook/curve?${search}`),
    enabled: item !== null && style !== null && cook !== null,
    placeholderData: keepPreviousData,
  })
}

/** Piles that go up and down with the year. */
export function useLogbookSeasons(filters: LogbookFilters) {
  const { id } = useKitchen()
  const search = searchOf({ ...filters })
  return useQuery({
    queryKey: [...logbookKey(id), 'seasons', search],
    queryFn: () => getJson<LogbookSeasons>(`${kitchenPath(id)}/logbook/seasons?${search}`),
    placeholderData: keepPreviousData,
  })
}

/** When the cheaper way was another, and weeks that lost far more than others. */
export function useLogbookTurns(filters: LogbookFilters) {
  const { id } = useKitchen()
  const search = searchOf({ ...filters })
  return useQuery({
    queryKey: [...logbookKey(id), 'turns', search],
    queryFn: () => getJson<LogbookTurns>(`${kitchenPath(id)}/logbook/turns?${search}`),
    placeholderData: keepPreviousData,
  })
}

/** Puts something of a record right that is not shown whole where it is asked about. */
function useAmend<Said>(
  fabricationId: string,
  amended: (record: FabricationRecord, said: Said) => Partial<FabricationEdit>,
) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (said: Said) => {
      const path = `${kitchenPath(id)}/fabrications/${fabricationId}`
      const { record } = await getJson<FabricationState>(path)
      return putJson<FabricationState>(path, editOf(record, amended(record, said)))
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchen', id] }),
  })
}

/** Takes a record out of every mean, with a reason; it can be counted again from its verdict. */
export const useLeaveOut = (fabricationId: string) =>
  useAmend(fabricationId, (_record, leftOut: string) => ({ leftOut }))

/** Stands by a doubted record: it is not doubted for this again. */
export const useSettleDoubt = (fabricationId: string) =>
  useAmend(fabricationId, ({ settled }, kind: DoubtKind) => ({ settled: [...new Set([...settled, kind])] }))

const viewsKey = (kitchenId: string) => [...logbookKey(kitchenId), 'views']
const viewsPath = (kitchenId: string) => `${kitchenPath(kitchenId)}/logbook/views`

/** Views that the kitchen keeps under a name. */
export function useLogbookViews() {
  const { id } = useKitchen()
  return useQuery({ queryKey: viewsKey(id), queryFn: () => getJson<LogbookView[]>(viewsPath(id)) })
}

/** Keeps a view; one of a name that is there takes its place. */
export function useCreateLogbookView() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (view: Omit<LogbookView, 'id'>) => postJson<LogbookView[]>(viewsPath(id), { id: newId(), ...view }),
    onSuccess: (views) => queries.setQueryData(viewsKey(id), views),
  })
}

export function useDeleteLogbookView() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (viewId: string) => deleteJson<LogbookView[]>(`${viewsPath(id)}/${viewId}`),
    onSuccess: (views) => queries.setQueryData(viewsKey(id), views),
  })
}
