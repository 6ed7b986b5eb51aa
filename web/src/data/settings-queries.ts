import type { Cook, CookEdit, Kitchen, KitchenEdit } from '@fleam/contract/kitchen'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { postJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'

/** Changes what the kitchen says of itself; every room reads it anew. */
export function useUpdateKitchen() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (edit: KitchenEdit) => putJson<Kitchen>(kitchenPath(id), edit),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['kitchens'] }),
  })
}

/** Adds a cook, or changes the name and the wage of one. */
export function useUpdateCooks() {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['kitchen', id, 'cooks'] })
  const path = `${kitchenPath(id)}/cooks`
  const add = useMutation({ mutationFn: (cook: Cook) => postJson<Cook>(path, cook), onSuccess })
  const change = useMutation({
    mutationFn: ({ id: cookId, ...edit }: CookEdit & { id: string }) => putJson<Cook>(`${path}/${cookId}`, edit),
    onSuccess,
  })
  return { add, change }
}
