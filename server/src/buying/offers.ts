import { offerOfForm, pieceWeightOf } from '@fleam/core/buying'
import type { PlannedOffer } from '@fleam/core/fabrication'
import type { Style } from '@fleam/core/style'
import type { Scope } from '../scope/index.ts'
import { readyForms } from './forms.ts'

interface OffersRequest {
  style: Style
  /** Birds, fish, loins or racks: delivery is spread over what would be ordered for as many plates. */
  units: number
  day: string
}

/** An offer of the price book for a pile of a style, with whose it is. */
export interface ListedOffer {
  offer: PlannedOffer
  supplierId: string
}

/** What the price book offers ready for the portion piles of a style, at the prices of a day, as the true cost has it. */
export async function offersOfStyle(scope: Scope, { style, units, day }: OffersRequest): Promise<ListedOffer[]> {
  const piles = style.piles.filter((pile) => pile.class === 'primary')
  const pileOf = new Map(piles.flatMap((pile) => (pile.productId === null ? [] : [[pile.productId, pile]])))
  const forms = await readyForms(scope, [...pileOf.keys()], day)
  return forms.flatMap(({ productId, form }) => {
    const pile = pileOf.get(productId)
    const plateWeight = pile?.bounds?.target ?? pieceWeightOf(form.quote)
    if (!pile || plateWeight === null) return []
    const kitchenOffer = offerOfForm(form, {
      product: pile.name,
      plates: Math.max(1, Math.round((pile.portionsPerUnit ?? 1) * units)),
      plateWeight,
      lightPlates: scope.kitchen.lightPlates,
      wagePerHour: scope.kitchen.wagePerHour,
      currency: scope.kitchen.currency,
    })
    if (!kitchenOffer) return []
    const { pile: _product, ...offer } = kitchenOffer
    // Two suppliers may call theirs the same: only then the name says whose it is.
    const isTwice = forms.some((other) => other.form !== form && other.form.article === form.article)
    const name = isTwice ? offer.name : form.article
    return [{ offer: { ...offer, name, pileId: pile.id, articleId: form.articleId }, supplierId: form.supplierId }]
  })
}
