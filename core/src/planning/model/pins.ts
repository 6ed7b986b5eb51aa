import type { Day } from '../../calendar/index.ts'
import type { PlanPin } from '../order-plan.ts'
import { NONE_ABOVE, NONE_BELOW, once } from './draft.ts'
import type { PlanModel } from './plan-model.ts'

/** Holds what is pinned; what is not part of the plan any more holds nothing. */
export function addPins(
  model: Omit<PlanModel, 'shortCosts' | 'moneyCosts'>,
  { pins, days }: { pins: readonly PlanPin[]; days: readonly Day[] },
): void {
  for (const pin of pins) {
    const columns = columnsOf(model, pin, days)
    if (columns.length === 0) continue
    model.programme.row(once(columns), pin.atLeast ?? NONE_BELOW, pin.atMost ?? NONE_ABOVE)
  }
}

function columnsOf(
  { wholes, ready, cuts }: Pick<PlanModel, 'wholes' | 'ready' | 'cuts'>,
  { kind, name, day }: PlanPin,
  days: readonly Day[],
) {
  const isOn = (place: number) => day === null || days[place] === day
  switch (kind) {
    case 'whole':
      return wholes.flatMap(({ whole, packs, at }) =>
        whole.name === name && packs !== null && isOn(at) ? [packs] : [],
      )
    case 'ready':
      return ready.flatMap((offer) => (offer.ready.name === name && isOn(offer.day) ? [offer.packs] : []))
    case 'cut':
      return cuts.flatMap(({ cut, units, day: at }) => (cut.name === name && isOn(at) ? [units] : []))
  }
}
