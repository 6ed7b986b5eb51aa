import type { Day } from '../calendar/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'
import { type LabelElement, type LabelIssue, type LabelIssueCode, readElements } from './element-string.ts'
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

/** Kilograms and pounds of one label are each rounded: further apart they are two weights. */
const ROUNDED = 0.005

const contradiction = (code: LabelIssueCode, { code: identifier, at }: LabelElement): CaseLabelResult => ({
  ok: false,
  issue: { code, identifier, at },
})

/** Reads a case label from what a scanner typed. `today` places years of two digits. */
export function readCaseLabel(scanned: string, today: Day): CaseLabelResult {
  const result = readElements(scanned, today)
  if (!result.ok) return result
  const { elements } = result
  const find = (...kinds: ElementKind[]) =>
    kinds.map((kind) => elements.find((element) => element.kind === kind)).find((element) => element !== undefined)
  const [kilograms, pounds] = [find('net-kilograms'), find('net-pounds')]
  const weights = [
    kilograms?.number == null ? null : kilograms.number * GRAMS_PER_KILOGRAM,
    pounds?.number == null ? null : pounds.number * GRAMS_PER_POUND,
  ]
  const [inKilograms = null, inPounds = null] = weights
  if (inKilograms !== null && inPounds !== null && Math.abs(inKilograms / inPounds - 1) > ROUNDED) {
    return contradiction('weights-differ', pounds as LabelElement)
  }
  const producedOn = find('production-date', 'packaging-date')
  const last = find('use-by', 'best-before')
  if (producedOn?.day && last?.day && last.day < producedOn.day) return contradiction('dates-crossed', last)
  return {
    ok: true,
    label: {
      gtin: find('gtin', 'contained-gtin')?.text ?? null,
      netWeight: inKilograms ?? inPounds,
      price: find('price', 'price-with-currency')?.number ?? null,
      lot: find('lot')?.text ?? null,
      serial: find('serial', 'serial-container')?.text ?? null,
      productionDate: producedOn?.day ?? null,
      useBy: last?.day ?? null,
      count: find('count')?.number ?? null,
      elements,
    },
  }
}
