import { editOf } from '@fleam/contract/fabrication/edit'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationEdit, FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { LogbookView } from '@fleam/contract/logbook/findings'
import { logbookOperations, logbookViewOperations } from '@fleam/contract/logbook/operations'
import type { LogbookFilters, LogbookSort, RecordsQuery, SummaryQuery } from '@fleam/contract/logbook/schemas'
import { supplierCardOperations } from '@fleam/contract/supplier-card/operations'
import type { SupplierCardsQuery } from '@fleam/contract/supplier-card/schemas'
import type { DoubtKind } from '@fleam/core/logbook'
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { v7 as newId } from 'uuid'
import { call } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenQuery, useAnswer, useChange, useKeepAnswer } from './operations.ts'

const { summariseLogbook, listLogbook, listDoubts, listChanges, readChart } = logbookOperations
const { listLearning, readCurve, listSeasons, listTurns } = logbookOperations

/** The answer before stays until another is there. */
const KEPT = { placeholderData: keepPreviousData }

/** What the records that count say, by a grouping. */
export const useLogbookSummary = (filters: LogbookFilters, group: SummaryQuery['group']) =>
  useAnswer(summariseLogbook, { query: { ...filters, group } }, KEPT)

export interface RecordsAsked {
  words: string
  counted: RecordsQuery['counted']
  sort: LogbookSort
  order: RecordsQuery['order']
}

/** Closed records, page by page. */
export function useLogbookRecords(filters: LogbookFilters, asked: RecordsAsked) {
  const { id: kitchenId } = useKitchen()
  const query = { ...filters, ...asked }
  return useInfiniteQuery({
    queryKey: [...kitchenQuery(kitchenId, listLogbook, { query }).queryKey, 'pages'],
    queryFn: ({ pageParam }) => call(listLogbook, { kitchenId, query: { ...query, cursor: pageParam || undefined } }),
    initialPageParam: '',
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  })
}

/** Some records by their ids, in the order of their days. */
export function useRecordsBeside(ids: readonly string[]) {
  const { id } = useKitchen()
  return useQuery({
    ...kitchenQuery(id, listLogbook, { query: { id: [...ids], order: 'ascending' } }),
    select: ({ rows }) => rows,
    enabled: ids.length > 0,
  })
}

/** How many closed records there are of a kind. */
export function useLogbookTotal({ counted }: Pick<RecordsQuery, 'counted'>) {
  const { id } = useKitchen()
  return useQuery({
    ...kitchenQuery(id, listLogbook, { query: { counted, limit: 1 } }),
    select: ({ total }) => total,
  })
}

/** What is known of every supplier, one card each. */
export const useSupplierCards = (span: SupplierCardsQuery) =>
  useAnswer(supplierCardOperations.listSupplierCards, { query: span }, KEPT)

/** Records that cannot be right. */
export const useLogbookDoubts = () => useAnswer(listDoubts, {})

/** What is not what it was. */
export const useLogbookChanges = () => useAnswer(listChanges, {})

/** Yields of an item and style in the order of their days; asked for once both are chosen. */
export const useLogbookSeries = (item: string | null, style: string | null, cook: string | null) =>
  useAnswer(
    readChart,
    { query: { item: item ?? '', style: style ?? '', cook: cook ?? undefined } },
    { ...KEPT, enabled: item !== null && style !== null },
  )

/** Where more practice would pay, and which cooks are improving. */
export const useLogbookLearning = (query: LogbookFilters) => useAnswer(listLearning, { query }, KEPT)

/** A cook's records of an item and style by her own repetition number; asked for once all three are chosen. */
export const useLogbookCurve = (item: string | null, style: string | null, cook: string | null) =>
  useAnswer(
    readCurve,
    { query: { item: item ?? '', style: style ?? '', cook: cook ?? '' } },
    { ...KEPT, enabled: item !== null && style !== null && cook !== null },
  )

/** Piles that go up and down with the year. */
export const useLogbookSeasons = (query: LogbookFilters) => useAnswer(listSeasons, { query }, KEPT)

/** When the cheaper way was another, and weeks that lost far more than others. */
export const useLogbookTurns = (query: LogbookFilters) => useAnswer(listTurns, { query }, KEPT)

/** Puts something of a record right that is not shown whole where it is asked about. */
function useAmend<Request>(
  fabricationId: string,
  amended: (record: FabricationRecord, request: Request) => Partial<FabricationEdit>,
) {
  const { id: kitchenId } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (request: Request) => {
      const { record } = await call(fabricationOperations.readFabrication, { kitchenId, fabricationId })
      const body = editOf(record, amended(record, request))
      return call(fabricationOperations.updateFabrication, { kitchenId, fabricationId, body })
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchen', kitchenId] }),
  })
}

/** Takes a record out of every mean, with a reason; it can be counted again from its verdict. */
export const useLeaveOut = (fabricationId: string) =>
  useAmend(fabricationId, (_record, leftOut: string) => ({ leftOut }))

/** Stands by a doubted record: it is not doubted for this again. */
export const useSettleDoubt = (fabricationId: string) =>
  useAmend(fabricationId, ({ settled }, kind: DoubtKind) => ({ settled: [...new Set([...settled, kind])] }))

const { listLogbookViews, createLogbookView, deleteLogbookView } = logbookViewOperations

/** Views that the kitchen keeps under a name. */
export const useLogbookViews = () => useAnswer(listLogbookViews, {})

function useKeepViews() {
  const keep = useKeepAnswer(listLogbookViews)
  return (views: LogbookView[]) => keep({}, views)
}

/** Keeps a view; one of a name that is there takes its place. */
export const useCreateLogbookView = () =>
  useChange(createLogbookView, (view: Omit<LogbookView, 'id'>) => ({ body: { id: newId(), ...view } }), useKeepViews())

export const useDeleteLogbookView = () => useChange(deleteLogbookView, (viewId: string) => ({ viewId }), useKeepViews())
