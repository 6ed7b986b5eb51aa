import type { CautionOverride, Container, Item, ItemEdit, Style, StyleFile } from '@fleam/contract/style'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { deleteJson, getJson, postJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './queries.ts'

/** Runs a change of the kitchen's items or styles, and reads them again. */
function useItemsChange<T, W>(change: (path: string, request: W) => Promise<T>) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (request: W) => change(kitchenPath(id), request),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchen', id, 'items'] }),
  })
}

export const useUpdateStyle = () =>
  useItemsChange((path, style: Style) => putJson<Style>(`${path}/styles/${style.id}`, style))

/**
 * Archives a style, or takes it back into use, as it stands on the server. What this page shows may be what the
 * device remembers of an earlier visit, and this choice depends on nothing else in the style.
 */
export const useArchiveStyle = () =>
  useItemsChange(async (path, { styleId, isArchived }: { styleId: string; isArchived: boolean }) => {
    const items = await getJson<Item[]>(`${path}/items`)
    const current = items.flatMap((item) => item.styles).find((style) => style.id === styleId)
    return putJson<Style>(`${path}/styles/${styleId}`, { ...current, isArchived })
  })

export const useCreateStyle = () =>
  useItemsChange((path, { itemId, style }: { itemId: string; style: Style }) =>
    postJson<Style>(`${path}/items/${itemId}/styles`, style),
  )

export const useCreateItem = () => useItemsChange((path, item: Item) => postJson<Item>(`${path}/items`, item))

export const useUpdateItem = () =>
  useItemsChange((path, { id, edit }: { id: string; edit: ItemEdit }) => putJson<Item>(`${path}/items/${id}`, edit))

export const useImportStyle = () =>
  useItemsChange((path, { id, file }: { id: string; file: StyleFile }) =>
    postJson<Style>(`${path}/styles/import?id=${id}`, file),
  )

export const useTopUpFromCatalogue = () =>
  useItemsChange((path) => postJson<Item[]>(`${path}/items/from-catalogue`, {}))

const containersKey = (id: string) => ['kitchen', id, 'containers']

export function useContainers() {
  const { id } = useKitchen()
  return useQuery({ queryKey: containersKey(id), queryFn: () => getJson<Container[]>(`${kitchenPath(id)}/containers`) })
}

export function useUpdateContainers() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const onSuccess = (containers: Container[]) => queries.setQueryData(containersKey(id), containers)
  const path = `${kitchenPath(id)}/containers`
  const create = useMutation({ mutationFn: (request: Container) => postJson<Container[]>(path, request), onSuccess })
  const remove = useMutation({
    mutationFn: (request: string) => deleteJson<Container[]>(`${path}/${request}`),
    onSuccess,
  })
  return { create, remove }
}

const cautionsKey = (id: string) => ['kitchen', id, 'cautions']

/** Cautions as the kitchen's own plan has them. */
export function useCautionOverrides() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: cautionsKey(id),
    queryFn: () => getJson<CautionOverride[]>(`${kitchenPath(id)}/cautions`),
  })
}

export function useUpdateCautions() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const onSuccess = (overrides: CautionOverride[]) => queries.setQueryData(cautionsKey(id), overrides)
  const path = `${kitchenPath(id)}/cautions`
  const override = useMutation({
    mutationFn: (request: CautionOverride) => putJson<CautionOverride[]>(`${path}/${request.cautionId}`, request),
    onSuccess,
  })
  const restore = useMutation({
    mutationFn: ({ cautionId, ...where }: Pick<CautionOverride, 'cautionId' | 'itemId' | 'styleId' | 'step'>) => {
      const said = Object.entries(where).flatMap(([name, id]) => (id === null ? [] : [[name, id]]))
      return deleteJson<CautionOverride[]>(`${path}/${cautionId}?${new URLSearchParams(said)}`)
    },
    onSuccess,
  })
  return { override, restore }
}
