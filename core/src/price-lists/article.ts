import { z } from 'zod'
import { price } from '../fabrication/index.ts'
import { day, id, instant, minutes, money, name, positiveCount, positiveGrams, positiveShare } from '../values/index.ts'

export const ARTICLE_KINDS = ['whole', 'ready'] as const

/** `Chicken: supremes`: what is served and can be bought ready, by its name. */
export const productName = z.string().trim().min(1).max(243)

/** Where an article has a size: it stands with the price, because suppliers change it. */
export const sizeFields = {
  /** Grams of one piece as purchased. */
  pieceWeight: positiveGrams.nullable(),
  packPieces: positiveCount.nullable(),
  packWeight: positiveGrams.nullable(),
}

const readyFields = {
  /** Of what is bought ready: the share that can be served. */
  usableShare: positiveShare.nullable(),
  handlingMinutesPerPiece: minutes.nullable(),
}

/** What a supplier sells, tied to an item that is cut here or to a product that is served. */
export const article = z
  .strictObject({
    id,
    supplierId: id,
    supplier: name,
    /** The supplier's own number or, without one, its name: unique with the supplier. */
    code: name,
    name,
    kind: z.enum(ARTICLE_KINDS),
    /** Item that is cut from it; null where it is tied to none. */
    itemId: id.nullable(),
    item: name.nullable(),
    /** Product that it is ready, such as `Chicken: supremes`; null where it is tied to none. */
    productId: id.nullable(),
    product: productName.nullable(),
    ...readyFields,
  })
  .meta({ id: 'Article' })
export type Article = z.infer<typeof article>

/** A price as it was quoted: a fact, never changed. */
export const articlePrice = z
  .strictObject({
    id,
    price,
    ...sizeFields,
    delivery: money.nullable(),
    minimumOrder: money.nullable(),
    from: day,
    until: day.nullable(),
    source: z.enum(['typed', 'list', 'feed']),
    recordedAt: instant,
  })
  .meta({ id: 'ArticlePrice' })
export type ArticlePrice = z.infer<typeof articlePrice>

/** What is said of a price wherever one is written down. */
export const priceFields = {
  code: name,
  name,
  kind: z.enum(ARTICLE_KINDS),
  price,
  ...sizeFields,
  ...readyFields,
  delivery: money.nullable(),
  minimumOrder: money.nullable(),
  from: day,
  until: day.nullable(),
}

/** One line of a price list as a document has it: an article with a price, by names. */
export const priceListLine = z.strictObject({
  ...priceFields,
  supplier: name,
  item: name.nullable(),
  product: productName.nullable(),
})
export type PriceListLine = z.infer<typeof priceListLine>
