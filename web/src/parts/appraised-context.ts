import { type Appraisal, appraise, type FabricationDocument } from '@fleam/core'
import { createContext, use, useMemo } from 'react'
import { type Format, useFormat } from './use-format.ts'

export interface Appraised {
  document: FabricationDocument
  appraisal: Appraisal
  format: Format
}

export const AppraisedContext = createContext<Appraised | null>(null)

/** The document whose figures are shown, what the core says of it, and how this kitchen words it. */
export function useAppraised(): Appraised {
  const appraised = use(AppraisedContext)
  if (!appraised) throw new Error('No document is appraised here')
  return appraised
}

export function useAppraisal(document: FabricationDocument): Appraised {
  const format = useFormat(document.currency)
  return useMemo(() => ({ document, appraisal: appraise(document), format }), [document, format])
}
