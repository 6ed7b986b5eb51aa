import { appraise } from '../appraisal/index.ts'
import { MINUTES_PER_HOUR } from '../costing/index.ts'
import { constant, type Explanation, KILO, minus, over, plus, times, value } from '../explanation/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { AssumedValue, WholeForm } from './buying-form.ts'
import { documentOfOrder, type Terms } from './form-document.ts'
import { orderFor } from './quote.ts'

export interface PartPrice {
  name: string
  /** Grams of the part in the whole order. */
  weight: number
  /** What a kilo of it is worth to this kitchen, money; zero where nobody said and nothing tells. */
  valuePerKg: number
  /** Nobody said it: how it is assumed; null where it was said or nothing tells. */
  assumedFrom: AssumedValue['from'] | null
  /** Money of the part at that value. */
  worth: number
  /** Price of a kilo that reaches the target margin; null where the parts are worth nothing. */
  priceForMargin: number | null
}

export interface PartedValue {
  form: WholeForm
  document: FabricationDocument
  parts: PartPrice[]
  /** Everything that comes off it, at what it is worth. */
  worth: number
  /** Purchase, labour and consumables. */
  cost: number
  margin: number
  /** Margin ÷ what is bought: orders of different size are compared by it. */
  marginPerUnit: number
  units: number
  /** Margin ÷ worth; null where it is worth nothing. */
  marginShare: number | null
  labourHours: number
  /** Null for a style that takes no time. */
  marginPerHour: number | null
  /** Parts without a value: the worth leaves them out. */
  unvalued: string[]
}

export interface PartedRequest extends Terms {
  /** How many of them are cut at once. */
  units: number
  /** Target margin of a shop, as a share of the selling price: 0 and up to, but not, 1. */
  marginShare: number
}

/**
 * What something whole is worth parted in one style: every pile at its value against price, labour and
 * consumables, and for each part the price at which all of them together reach the target margin: they
 * all rise by the same factor, so that dear parts stay dear. Null where the quote does not say how much
 * one buys.
 */
export function partedValue(form: WholeForm, request: PartedRequest): PartedValue | null {
  const order = orderFor(form.quote, request.units, form.unitWeight)
  if (!order) return null
  const document = documentOfOrder(form, order, request)
  const { cost } = appraise(document)
  const parts = document.piles.map((pile, index) => {
    const weight = pile.weight ?? 0
    const assumed = pile.valuePerKg === undefined ? (form.piles[index]?.assumedValue ?? null) : null
    const valuePerKg = pile.valuePerKg ?? assumed?.perKg ?? 0
    const worth = (weight / GRAMS_PER_KILOGRAM) * valuePerKg
    return { name: pile.name, weight, valuePerKg, assumedFrom: assumed?.from ?? null, worth }
  })
  const worth = parts.reduce((sum, part) => sum + part.worth, 0)
  const minutes = (document.labour ?? []).reduce((sum, entry) => sum + entry.minutes, 0)
  const labourHours = minutes / MINUTES_PER_HOUR
  const margin = worth - cost.in
  const factor = worth > 0 && request.marginShare < 1 ? cost.in / (1 - request.marginShare) / worth : null
  return {
    form,
    document,
    parts: parts.map((part) => ({ ...part, priceForMargin: factor === null ? null : part.valuePerKg * factor })),
    worth,
    cost: cost.in,
    margin,
    marginPerUnit: margin / order.pieces,
    units: order.pieces,
    marginShare: worth > 0 ? margin / worth : null,
    labourHours,
    marginPerHour: labourHours > 0 ? margin / labourHours : null,
    unvalued: form.piles
      .filter((pile) => pile.class !== 'waste' && pile.valuePerKg === null && !pile.assumedValue)
      .map((pile) => pile.name),
  }
}

/** By what one of them leaves over, or an hour of labour. Best first; what takes no time comes first of all. */
export function rankParted(values: readonly PartedValue[], by: 'marginPerUnit' | 'marginPerHour'): PartedValue[] {
  const of = (partedValue: PartedValue) =>
    by === 'marginPerUnit' ? partedValue.marginPerUnit : (partedValue.marginPerHour ?? Number.POSITIVE_INFINITY)
  return [...values].sort((a, b) => of(b) - of(a))
}

export type PartedFigure = 'worth' | 'margin' | 'marginPerUnit' | 'marginPerHour'

/** The formula of a figure of a parted value, with its numbers in it. */
export function explainParted(parted: PartedValue, figure: PartedFigure): Explanation {
  const worth = value('worth of the parts', parted.worth, 'money')
  const cost = value('purchase, labour, bags', parted.cost, 'money')
  switch (figure) {
    case 'worth':
      return {
        title: 'Worth of the parts',
        quantity: 'money',
        expression: plus(
          ...parted.parts.map((part) =>
            times(
              over(value(part.name, part.weight, 'weight'), KILO),
              value(part.assumedFrom ? 'its value, assumed' : 'its value', part.valuePerKg, 'money-per-kg'),
            ),
          ),
        ),
      }
    case 'margin':
      return { title: 'Left over', quantity: 'money', expression: minus(worth, cost) }
    case 'marginPerUnit':
      return {
        title: 'Left over, each',
        quantity: 'money',
        expression: over(minus(worth, cost), value('bought', parted.units, 'count')),
      }
    case 'marginPerHour':
      return {
        title: 'Left over for an hour of labour',
        quantity: 'money-per-hour',
        expression: over(minus(worth, cost), value('hours', parted.labourHours, 'count')),
      }
  }
}

/** The formula of the price that a part needs for the target margin. */
export function explainPartPrice(parted: PartedValue, part: PartPrice, marginShare: number): Explanation {
  return {
    title: `A kilo of ${part.name}, to sell`,
    quantity: 'money-per-kg',
    expression: times(
      value('its value', part.valuePerKg, 'money-per-kg'),
      over(
        over(
          value('purchase, labour, bags', parted.cost, 'money'),
          minus(constant(1), value('target margin', marginShare, 'share')),
        ),
        value('worth of the parts', parted.worth, 'money'),
      ),
    ),
    note: 'All parts rise or fall by the same factor.',
  }
}
