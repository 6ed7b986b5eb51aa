import { appraise } from '../appraisal/index.ts'
import { extrasPerPiece, handlingPerPiece, servedOfBought, unitsPerPiece } from '../comparison/index.ts'
import { labourMinutes, MINUTES_PER_HOUR } from '../costing/index.ts'
import type { FabricationDocument, Offer, Pile } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

/** What a forecast takes to be uncertain, in the order in which it is drawn. */
export const FORECAST_INPUTS = ['yield', 'minutes', 'credit', 'apPricePerKg', 'offerAmount', 'usableShare'] as const
export type ForecastInput = (typeof FORECAST_INPUTS)[number]

/** A value for each uncertain input. `credit` is how much of today's credit is real: 1 is all of it. */
export type InputValues = Readonly<Record<ForecastInput, number>>

/** Everything of one comparison that stays as it is while the inputs move. */
export interface ForecastModel {
  centre: InputValues
  /** Grams of AP. */
  ap: number
  /** Share of the net cost that the pile carries. */
  costShare: number
  consumables: number
  credit: number
  ratePerHour: number
  /** Portions at the centre; they move with the yield. */
  portions: number
  offer: { unitsPerPiece: number; extrasPerPiece: number; handling: number; perPortion: number }
}

/**
 * The saving of a portion as a sum of what is known and six uncertain inputs. At its centre it says what
 * `appraise` says. Portions move with the yield of their pile; by-products stay as they are: what is missed
 * on the bones is worth next to nothing. Null where the comparison has no cost or no price.
 */
export function forecastModel(document: FabricationDocument, at: number): ForecastModel | null {
  const appraisal = appraise(document)
  const comparison = appraisal.comparisons[at]
  const offer = document.offers?.[at]
  const pile = document.piles.find((pile) => pile.name === offer?.pile)
  const result = appraisal.piles.find((pile) => pile.name === offer?.pile)
  if (!comparison || !offer || !pile || !result || comparison.saving === null) return null
  if (result.cost === null || !result.portions || appraisal.cost.net === 0) return null
  const minutes = labourMinutes(document.labour)
  return {
    centre: {
      yield: result.share,
      minutes,
      credit: 1,
      apPricePerKg: appraisal.cost.apPricePerKg,
      offerAmount: offer.price.amount,
      usableShare: offer.usableShare ?? 1,
    },
    ap: appraisal.weights.ap,
    costShare: result.cost / appraisal.cost.net,
    consumables: appraisal.cost.consumables,
    credit: appraisal.cost.credit,
    ratePerHour: minutes > 0 ? (appraisal.cost.labour / minutes) * MINUTES_PER_HOUR : 0,
    portions: result.portions,
    offer: offerPart(offer, pile, result.portions, comparison.plateWeight),
  }
}

function offerPart(offer: Offer, pile: Pile, portions: number, plateWeight: number | null): ForecastModel['offer'] {
  return {
    unitsPerPiece: unitsPerPiece(offer),
    extrasPerPiece: extrasPerPiece(offer, portions),
    handling: handlingPerPiece(offer),
    perPortion: plateWeight === null ? 1 : plateWeight / servedOfBought(offer, pile.target),
  }
}

/**
 * Share of AP that the pile must weigh for making and buying to be even, as the kitchen's tests say theirs:
 * portions move with it. Null where no yield does it. See `breakEven.pileYield` for the same on the plates.
 */
export function evenShareOfPile(model: ForecastModel, breakEvenPortions: number | null): number | null {
  return breakEvenPortions === null ? null : (model.centre.yield * breakEvenPortions) / model.portions
}

/** What making saves on a portion with these inputs, money; negative where buying is cheaper. */
export function savingAt(model: ForecastModel, values: InputValues): number {
  const { offer } = model
  const piece = values.offerAmount * offer.unitsPerPiece + offer.extrasPerPiece + offer.handling
  const buy = (piece / values.usableShare) * offer.perPortion
  const net =
    (values.apPricePerKg * model.ap) / GRAMS_PER_KILOGRAM +
    (values.minutes / MINUTES_PER_HOUR) * model.ratePerHour +
    model.consumables -
    values.credit * model.credit
  const portions = (model.portions * values.yield) / model.centre.yield
  return buy - (model.costShare * net) / portions
}
