import { type Explanation, KILO, over, times, value } from '../explanation/index.ts'
import type { Pile } from '../fabrication/index.ts'
import { type PortionControl, portionsAt, TIGHTER } from './portion-control.ts'

export type PortionFigure = 'capability' | 'givenAwayPerPortion' | 'givenAwayTighter'

/** How a figure of portion control is worked out; null where it does not apply. */
export function portionFigure(
  pile: Pile,
  costPerKg: number | null,
  control: PortionControl,
  figure: PortionFigure,
): Explanation | null {
  const { pieces = [] } = pile
  if (figure === 'capability') {
    const within = control.bars.length === 0 ? 0 : Math.round(control.capability * pieces.length)
    return {
      title: 'Within bounds',
      quantity: 'share',
      expression: over(value('pieces within', within, 'count'), value('pieces', pieces.length, 'count')),
    }
  }
  if (control[figure] === null || costPerKg === null) return null
  const isTighter = figure === 'givenAwayTighter'
  const { served, over: grams } = portionsAt(pile, isTighter ? TIGHTER : 1)
  return {
    title: isTighter ? 'Overweight cost by a hand twice as steady' : 'Overweight cost of a portion',
    quantity: 'money',
    expression: over(
      times(
        over(value('grams above the target', grams, 'weight'), KILO),
        value('cost per kilo', costPerKg, 'money-per-kg'),
      ),
      value('portions served', served, 'count'),
    ),
    ...(isTighter ? { note: 'Every piece half as far from the target as it is.' } : {}),
  }
}
