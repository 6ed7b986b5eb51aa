import type { Day } from '../calendar/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'
import { type LabelElement, type LabelIssue, readElements } from './element-string.ts'
import type { ElementKind } from './identifiers.ts'

/** What a case label says; null where it does not say it. */
export interface CaseLabel {
  gtin: string | null
  /** Net weight, grams. */
  netWeight: number | null
  /** Money asked for the case. */
  price: number | null
  lot: string | null
  serial: string | null
  productionDate: Day | null
  /** The last day: use-by where there is one, else best-before. */
  useBy: Day | null
  count: number | null
  elements: LabelElement[]
}

export type CaseLabelResult = { ok: true; label: CaseLabel } | { ok: false; issue: LabelIssue }

/** Reads a case label from what a scanner typed. `today` places years of two digits. */
export function readCaseLabel(scanned: string, today: Day): CaseLabelResult {
  const result = readElements(scanned, today)
  if (!result.ok) return result
  const { elements } = result
  const find = (...kinds: ElementKind[]) =>
    kinds.map((kind) => elements.find((element) => element.kind === kind)).find((element) => element !== undefined)
  const kilograms = find('net-kilograms')?.number ?? null
  const pounds = find('net-pounds')?.number ?? null
  return {
    ok: true,
    label: {
      gtin: find('gtin', 'contained-gtin')?.text ?? null,
      netWeight:
        kilograms !== null ? kilograms * GRAMS_PER_KILOGRAM : pounds !== null ? pounds * GRAMS_PER_POUND : null,
      price: find('price', 'price-with-currency')?.number ?? null,
      lot: find('lot')?.text ?? null,
      serial: find('serial', 'serial-container')?.text ?? null,
      productionDate: find('production-date', 'packaging-date')?.day ?? null,
      useBy: find('use-by', 'best-before')?.day ?? null,
      count: find('count')?.number ?? null,
      elements,
    },
  }
}
