import type { Appraisal } from '@fleam/core/appraisal'
import { minorDigits, roundParts } from '@fleam/core/units'

/** The parts of the net cost, rounded so that they add up to it on the screen. */
export function moneyParts({ cost }: Appraisal, currency: string) {
  const parts = [cost.ap, cost.labour, cost.consumables, -cost.credit]
  const [ap, labour, consumables, credit] = roundParts(parts, minorDigits(currency), cost.net) as [
    number,
    number,
    number,
    number,
  ]
  return { ap, labour, consumables, credit: -credit, net: cost.net }
}
