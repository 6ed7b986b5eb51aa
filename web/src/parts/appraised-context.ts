import { type Appraisal, appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
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
  return useMemo(() => ({ document, appraisal: appraisalOf(document), format }), [document, format])
}

/** What documents say, worked out once for as long as somebody holds them. */
const appraisals = new WeakMap<FabricationDocument, Appraisal>()

/** What a document says; lists that are sorted by it ask for it often. */
export function appraisalOf(document: FabricationDocument): Appraisal {
  const before = appraisals.get(document)
  if (before) return before
  const now = appraise(document)
  appraisals.set(document, now)
  return now
}
