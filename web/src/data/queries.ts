import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationEdit, FabricationStart, FabricationState } from '@fleam/contract/fabrication/schemas'
import { forecastingOperations } from '@fleam/contract/forecasting/operations'
import { healthOperations } from '@fleam/contract/health/operations'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Cook, Kitchen } from '@fleam/contract/kitchen/schemas'
import { importOperations, startOperations } from '@fleam/contract/new-records/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { call } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { answerQuery, useAnswer, useChange, useInvalidate, useKeepAnswer } from './operations.ts'
import { supplierIdOf } from './supplier-id.ts'

const { listFabrications, readFabrication, updateFabrication, listVersions } = fabricationOperations

/** The bench hears of other devices by events; this is how often it looks all the same. */
const BENCH_REFRESH_MS = 30_000
/** How often it is asked whether the server has room, while somebody looks. */
const HEALTH_MS = 10_000

/** True while the disk of the server is full. */
export function useDiskFull(): boolean {
  const health = useQuery({
    ...answerQuery(healthOperations.readHealth, {}),
    refetchInterval: HEALTH_MS,
    retry: false,
  })
  return health.data?.disk === 'full'
}

export const kitchensQuery = answerQuery(kitchenOperations.listKitchens, {})
export const useKitchens = () => useQuery(kitchensQuery)

export const useItems = () => useAnswer(styleOperations.listItems, {})
export const useCooks = () => useAnswer(kitchenOperations.listCooks, {})

/** The latest records, open ones first; so many of them, or as many as the server lists. */
export const useFabrications = (limit?: number, { everyMs = undefined as number | undefined } = {}) =>
  useAnswer(
    listFabrications,
    limit === undefined ? {} : { query: { limit } },
    everyMs === undefined ? {} : { refetchInterval: everyMs },
  )

export const fabricationQuery = (kitchenId: string, fabricationId: string) =>
  answerQuery(readFabrication, { kitchenId, fabricationId })

export const useFabrication = (fabricationId: string, { isLive = false } = {}) =>
  useAnswer(readFabrication, { fabricationId }, { refetchInterval: isLive ? BENCH_REFRESH_MS : false })

/** What the forecast of a record can rest on. */
export const useEvidence = (fabricationId: string) => useAnswer(forecastingOperations.readEvidence, { fabricationId })

/** A record as it was before each change, newest first; read anew at each version of it. */
export function useVersions(fabricationId: string, version: number) {
  const { id: kitchenId } = useKitchen()
  const query = answerQuery(listVersions, { kitchenId, fabricationId })
  return useQuery({ ...query, queryKey: [...query.queryKey, version] })
}

/** Puts a state that the server answered with where every room reads it. */
function useKeepState() {
  const keep = useKeepAnswer(readFabrication)
  const invalidate = useInvalidate(listFabrications, 'logbook', 'planning')
  return (state: FabricationState) => {
    keep({ fabricationId: state.record.id }, state)
    void invalidate()
  }
}

/** What is started, its supplier by the name that was typed. */
export type StartRequest = Omit<FabricationStart, 'supplierId'> & { supplier: string | null }

export function useStartFabrication() {
  const { id } = useKitchen()
  return useChange(
    startOperations.startFabrication,
    async ({ supplier, ...start }: StartRequest) => ({
      body: { ...start, supplierId: supplier === null ? null : await supplierIdOf(id, supplier) },
    }),
    useKeepState(),
  )
}

/** Starts what was planned, with its supplier by its id. */
export const useStartPlanned = () =>
  useChange(startOperations.startFabrication, (body: FabricationStart) => ({ body }), useKeepState())

export const useUpdateFabrication = (fabricationId: string) =>
  useChange(updateFabrication, (body: FabricationEdit) => ({ fabricationId, body }), useKeepState())

export interface ImportRequest {
  id: string
  document: unknown
  /** What was decided of names that fit nothing here, by field. */
  names?: Readonly<Record<string, string>>
}

export const useImportDocument = () =>
  useChange(
    importOperations.importDocument,
    // What is sent was read from a file: the server says field by field what is wrong with it.
    ({ id, document, names }: ImportRequest) => ({ query: { ...names, id }, body: document as never }),
    useKeepState(),
  )

export interface SetUpRequest {
  kitchen: Kitchen
  cooks: Cook[]
}

export function useSetUpKitchen() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async ({ kitchen, cooks }: SetUpRequest) => {
      await call(kitchenOperations.setUpKitchen, { body: kitchen })
      for (const cook of cooks) await call(kitchenOperations.createCook, { kitchenId: kitchen.id, body: cook })
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: kitchensQuery.queryKey }),
  })
}
