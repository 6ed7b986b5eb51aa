import type { WhatIf } from '@fleam/contract/what-if'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { deleteJson, getJson, putJson } from './api.ts'
import { useKitchen } from './kitchen-context.ts'
import { fabricationKey, fabricationPath } from './queries.ts'

/** What was tried out on a record and kept beside it. */
export function useWhatIfs(fabricationId: string) {
  const { id } = useKitchen()
  const queries = useQueryClient()
  const path = `${fabricationPath(id, fabricationId)}/what-ifs`
  const queryKey = [...fabricationKey(id, fabricationId), 'what-ifs']
  const keepAnswer = { onSuccess: (kept: WhatIf[]) => queries.setQueryData(queryKey, kept) }
  return {
    kept: useQuery({ queryKey, queryFn: () => getJson<WhatIf[]>(path) }),
    create: useMutation({
      mutationFn: (whatIf: WhatIf) => putJson<WhatIf[]>(`${path}/${whatIf.id}`, whatIf),
      ...keepAnswer,
    }),
    remove: useMutation({ mutationFn: (gone: string) => deleteJson<WhatIf[]>(`${path}/${gone}`), ...keepAnswer }),
  }
}
