import type { Kitchen, Style } from '@fleam/contract'
import { type Offer, offerOfForm, pieceWeightOf, productOf } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { readyForms } from './forms.ts'

interface OffersWish {
  item: string
  style: Style
  /** Birds, fish, loins or racks: delivery is spread over what would be ordered for as many plates. */
  units: number
  day: string
}

/** What the price book offers ready for the portion piles of a style, at the prices of a day, as the true cost has it. */
export async function offersOfStyle(
  database: Sequelize,
  kitchen: Kitchen,
  { item, style, units, day }: OffersWish,
): Promise<Offer[]> {
  const piles = style.piles.filter((pile) => pile.class === 'primary')
  const pileOf = new Map(piles.map((pile) => [productOf(item, pile.name), pile]))
  const forms = await readyForms(database, kitchen.id, [...pileOf.keys()], day)
  return forms.flatMap(({ product, form }) => {
    const pile = pileOf.get(product)
    const plateWeight = pile?.bounds?.target ?? pieceWeightOf(form.quote)
    if (!pile || plateWeight === null) return []
    const offer = offerOfForm(form, {
      product: pile.name,
      plates: Math.max(1, Math.round((pile.portionsPerUnit ?? 1) * units)),
      plateWeight,
      wagePerHour: kitchen.wagePerHour,
      currency: kitchen.currency,
    })
    if (!offer) return []
    // Two suppliers may call theirs the same: only then the name says whose it is.
    const isTwice = forms.some((other) => other.form !== form && other.form.article === form.article)
    return [isTwice ? offer : { ...offer, name: form.article }]
  })
}
