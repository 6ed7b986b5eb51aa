import { RECEIVING_CHECKS } from '@fleam/catalogue'
import type { LotCheck } from '@fleam/contract/receiving/schemas'
import type { Format } from '../../parts/use-format.ts'

/** What was measured at a check, in brackets: ` (6.5 °C)`; nothing where nothing was. */
export function measuredWords({ checkId, value }: LotCheck, format: Format): string {
  const check = RECEIVING_CHECKS.find((receivingCheck) => receivingCheck.id === checkId)
  const unit = check?.number?.unit
  // One of several states is said by its words, and the fault is one of them.
  if (value === null || check?.states) return ''
  if (unit === '°C') return ` (${format.heat(value)})`
  return ` (${format.typed(value)}${unit === undefined ? '' : ` ${unit}`})`
}
