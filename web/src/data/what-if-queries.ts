import { whatIfOperations } from '@fleam/contract/what-if/operations'
import type { WhatIf } from '@fleam/contract/what-if/schemas'
import { useAnswer, useChange, useKeepAnswer } from './operations.ts'

const { listWhatIfs, createWhatIf, deleteWhatIf } = whatIfOperations

/** What was tried out on a record and kept beside it. */
export function useWhatIfs(fabricationId: string) {
  const keep = useKeepAnswer(listWhatIfs)
  const keepAll = (kept: WhatIf[]) => keep({ fabricationId }, kept)
  return {
    kept: useAnswer(listWhatIfs, { fabricationId }),
    create: useChange(createWhatIf, (body: WhatIf) => ({ fabricationId, whatIfId: body.id, body }), keepAll),
    remove: useChange(deleteWhatIf, (whatIfId: string) => ({ fabricationId, whatIfId }), keepAll),
  }
}
