import type { UnreadableRow } from '@fleam/contract/unreadable'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { deleteJson, getJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { kitchenPath } from './paths.ts'

/** It is rare and takes a look at every list: asked for now and then. */
const FRESH_MS = 10 * 60_000

const unreadableKey = (id: string) => ['kitchen', id, 'unreadable']

/** What the lists of the kitchen leave out because it cannot be read. */
export function useUnreadable() {
  const { id } = useKitchen()
  return useQuery({
    queryKey: unreadableKey(id),
    queryFn: () => getJson<UnreadableRow[]>(`${kitchenPath(id)}/unreadable`),
    staleTime: FRESH_MS,
  })
}

export function useStrikeUnreadable() {
  const { id } = useKitchen()
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ kind, id: rowId }: UnreadableRow) =>
      deleteJson<UnreadableRow[]>(`${kitchenPath(id)}/unreadable/${kind}/${rowId}`),
    onSuccess: (rows) => {
      client.setQueryData(unreadableKey(id), rows)
      return client.invalidateQueries({ queryKey: ['kitchen', id, 'plans'] })
    },
  })
}
