import type { Kitchen, Style } from '@fleam/contract'
import { type Offer, pieceWeightOf, priceOn, productOf } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as store from './store.ts'

/** What the price book offers ready for the portion piles of a style, at the prices of a day. */
export async function offersOfStyle(
  database: Sequelize,
  kitchen: Kitchen,
  item: string,
  style: Style,
  day: string,
): Promise<Offer[]> {
  const piles = style.piles.filter((pile) => pile.class === 'primary')
  const pileOf = new Map(piles.map((pile) => [productOf(item, pile.name), pile.name]))
  const articles = await store.articlesOfProducts(database, kitchen.id, [...pileOf.keys()])
  return articles.flatMap(({ article, prices }): Offer[] => {
    const price = priceOn(prices, day)
    const pile = pileOf.get(article.product ?? '')
    const pieceWeight = price && pieceWeightOf({ ...price, delivery: 0, minimumOrder: null })
    const isPack = price?.price.per === 'case' || price?.price.per === 'lot'
    if (!price || !pile || !pieceWeight || (isPack && price.packPieces === null)) return []
    return [
      {
        name: article.name,
        pile,
        price: price.price,
        pieceWeight,
        ...(price.packPieces === null ? {} : { pieces: price.packPieces }),
        usableShare: article.usableShare ?? 1,
        handlingMinutesPerPiece: article.handlingMinutesPerPiece ?? 0,
        ratePerHour: kitchen.wagePerHour,
      },
    ]
  })
}
