import type {
  FabricationEdit,
  FabricationRow,
  FabricationStart,
  FabricationState,
  RecordVersion,
} from '@fleam/contract/fabrication'
import type { ForecastEvidence } from '@fleam/contract/forecasting'
import type { Health } from '@fleam/contract/health'
import type { Cook, Kitchen } from '@fleam/contract/kitchen'
import type { Item } from '@fleam/contract/style'
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { getJson, postJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'
import { supplierIdOf } from './supplier-id.ts'

export { kitchenPath }

/** The bench hears of other devices by events; this is how often it looks all the same. */
const BENCH_REFRESH_MS = 30_000

export const fabricationPath = (kitchenId: string, id: string) => `${kitchenPath(kitchenId)}/fabrications/${id}`
export const fabricationKey = (kitchenId: string, id: string) => ['kitchen', kitchenId, 'fabrication', id]
const listKey = (kitchenId: string) => ['kitchen', kitchenId, 'fabrications']

/** How often it is asked whether the server has room, while somebody looks. */
const HEALTH_MS = 10_000

/** True while the disk of the server is full. */
export function useDiskFull(): boolean {
  const health = useQuery({
    queryKey: ['health'],
    queryFn: () => getJson<Health>('/api/health'),
    refetchInterval: HEALTH_MS,
    retry: false,
  })
  return health.data?.disk === 'full'
}

export const kitchensQuery = queryOptions({
  queryKey: ['kitchens'],
  queryFn: () => getJson<Kitchen[]>('/api/kitchens'),
})
export const useKitchens = () => useQuery(kitchensQuery)

export function useItems() {
  const { id } = useKitchen()
  return useQuery({ queryKey: ['kitchen', id, 'items'], queryFn: () => getJson<Item[]>(`${kitchenPath(id)}/items`) })
}

export function useCooks() {
  const { id } = useKitchen()
  return useQuery({ queryKey: ['kitchen', id, 'cooks'], queryFn: () => getJson<Cook[]>(`${kitchenPath(id)}/cooks`) })
}

/** The latest records, open ones first; so many of them, or as many as the server lists. */
export function useFabrications(limit?: number, { everyMs }: { everyMs?: number } = {}) {
  const { id } = useKitchen()
  const search = limit === undefined ? '' : `?limit=${limit}`
  return useQuery({
    queryKey: [...listKey(id), limit ?? 'all'],
    queryFn: () => getJson<FabricationRow[]>(`${kitchenPath(id)}/fabrications${search}`),
    ...(everyMs === undefined ? {} : { refetchInterval: everyMs }),
  })
}

export const fabricationQuery = (kitchenId: string, id: string) =>
  queryOptions({
    queryKey: fabricationKey(kitchenId, id),
    queryFn: () => getJson<FabricationState>(fabricationPath(kitchenId, id)),
  })

export function useFabrication(id: string, { isLive = false } = {}) {
  const kitchen = useKitchen()
  return useQuery({
    ...fabricationQuery(kitchen.id, id),
    refetchInterval: isLive ? BENCH_REFRESH_MS : false,
  })
}

/** What the forecast of a record can rest on. */
export function useEvidence(id: string) {
  const kitchen = useKitchen()
  return useQuery({
    queryKey: [...fabricationKey(kitchen.id, id), 'evidence'],
    queryFn: () => getJson<ForecastEvidence>(`${fabricationPath(kitchen.id, id)}/evidence`),
  })
}

/** A record as it was before each change, newest first; read anew at each version of it. */
export function useVersions(id: string, version: number) {
  const kitchen = useKitchen()
  return useQuery({
    queryKey: [...fabricationKey(kitchen.id, id), 'versions', version],
    queryFn: () => getJson<RecordVersion[]>(`${fabricationPath(kitchen.id, id)}/versions`),
  })
}

/** Puts a state that the server answered with where every room reads it. */
function useKeepState() {
  const queries = useQueryClient()
  const { id } = useKitchen()
  return (state: FabricationState) => {
    queries.setQueryData(fabricationKey(id, state.record.id), state)
    void queries.invalidateQueries({ queryKey: listKey(id) })
    for (const part of ['logbook', 'plans']) void queries.invalidateQueries({ queryKey: ['kitchen', id, part] })
  }
}

/** What is started, its supplier by the name that was typed. */
export type StartRequest = Omit<FabricationStart, 'supplierId'> & { supplier: string | null }

export function useStartFabrication() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: async ({ supplier, ...start }: StartRequest) =>
      postJson<FabricationState>(`${kitchenPath(id)}/fabrications`, {
        ...start,
        supplierId: supplier === null ? null : await supplierIdOf(id, supplier),
      }),
    onSuccess: useKeepState(),
  })
}

/** Starts what was planned, with its supplier by its id. */
export function useStartPlanned() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (start: FabricationStart) => postJson<FabricationState>(`${kitchenPath(id)}/fabrications`, start),
    onSuccess: useKeepState(),
  })
}

export function useUpdateFabrication(fabricationId: string) {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (edit: FabricationEdit) => putJson<FabricationState>(fabricationPath(id, fabricationId), edit),
    onSuccess: useKeepState(),
  })
}

export interface ImportRequest {
  id: string
  document: unknown
  /** What was decided of names that fit nothing here, by field. */
  names?: Readonly<Record<string, string>>
}

export function useImportDocument() {
  const { id } = useKitchen()
  return useMutation({
    mutationFn: (request: ImportRequest) =>
      postJson<FabricationState>(
        `${kitchenPath(id)}/fabrications/import?${new URLSearchParams({ ...request.names, id: request.id })}`,
        request.document,
      ),
    onSuccess: useKeepState(),
  })
}

export interface SetUpRequest {
  kitchen: Kitchen
  cooks: Cook[]
}

export function useSetUpKitchen() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async ({ kitchen, cooks }: SetUpRequest) => {
      await postJson<Kitchen>('/api/kitchens', kitchen)
      for (const cook of cooks) await postJson<Cook>(`${kitchenPath(kitchen.id)}/cooks`, cook)
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchens'] }),
  })
}
