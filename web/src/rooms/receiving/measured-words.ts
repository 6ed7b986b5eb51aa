import { RECEIVING_CHECKS } from '@fleam/catalogue'
import type { LotCheck } from '@fleam/contract'
import type { Format } from '../../parts/use-format.ts'

/** What was measured at a check, in brackets: ` (6.5 °C)`; nothing where nothing was. */
export function measuredWords({ checkId, value }: LotCheck, format: Format): string {
  const unit = RECEIVING_CHECKS.find((each) => each.id === checkId)?.number?.unit
  if (value === null) return ''
  if (unit === '°C') return ` (${format.heat(value)})`
  return ` (${format.typed(value)}${unit === undefined ? '' : ` ${unit}`})`
}
