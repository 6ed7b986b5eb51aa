import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Cook, CookEdit, KitchenEdit } from '@fleam/contract/kitchen/schemas'
import { useQueryClient } from '@tanstack/react-query'
import { useChange, useInvalidate } from './operations.ts'
import { kitchensQuery } from './queries.ts'

/** Changes what the kitchen says of itself; every room reads it anew. */
export function useUpdateKitchen() {
  const queries = useQueryClient()
  return useChange(
    kitchenOperations.updateKitchen,
    (body: KitchenEdit) => ({ body }),
    () => queries.invalidateQueries({ queryKey: kitchensQuery.queryKey }),
  )
}

/** Adds a cook, or changes the name and the wage of one. */
export function useUpdateCooks() {
  const onSuccess = useInvalidate(kitchenOperations.listCooks)
  return {
    add: useChange(kitchenOperations.createCook, (body: Cook) => ({ body }), onSuccess),
    change: useChange(
      kitchenOperations.updateCook,
      ({ id: cookId, ...body }: CookEdit & { id: string }) => ({ cookId, body }),
      onSuccess,
    ),
  }
}
