import type { PriceListLine } from '@fleam/core/price-lists'
import { priceListCsv } from '@fleam/core/price-lists'
import { randomLcg } from 'd3-random'

/** What the simulated wholesalers publish, with the price around which each moves. All of it is made up. */
interface FeedArticle {
  supplier: string
  code: string
  name: string
  item?: string
  product?: string
  per: PriceListLine['price']['per']
  usual: number
  /** How far it moves either way, as a share of the usual price. */
  swing: number
  pieceWeight: number
  packPieces?: number
  usableShare?: number
}

const SKERROW = 'Skerrow Quay Fish'
const PLATTENKAR = 'Plattenkar Provisions'

const ARTICLES: readonly FeedArticle[] = [
  {
    supplier: SKERROW,
    code: 'SQ-1',
    name: 'Hake, day boat',
    item: 'Hake, gutted, head off',
    per: 'kg',
    usual: 9.2,
    swing: 0.12,
    pieceWeight: 2000,
  },
  {
    supplier: SKERROW,
    code: 'SQ-2',
    name: 'Arctic char, farmed',
    item: 'Arctic char or salmon, gutted, head on',
    per: 'kg',
    usual: 13.4,
    swing: 0.05,
    pieceWeight: 1500,
  },
  {
    supplier: SKERROW,
    code: 'SQ-3',
    name: 'Turbot 2/3',
    item: 'Turbot, gutted',
    per: 'kg',
    usual: 24,
    swing: 0.15,
    pieceWeight: 2000,
  },
  {
    supplier: SKERROW,
    code: 'SQ-4',
    name: 'White fish, whole',
    item: 'Round white fish, gutted, head on',
    per: 'kg',
    usual: 7.5,
    swing: 0.1,
    pieceWeight: 3000,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-41',
    name: 'Hake portions 170 g',
    product: 'Hake: portions',
    per: 'kg',
    usual: 21.5,
    swing: 0.06,
    pieceWeight: 170,
    usableShare: 0.98,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-42',
    name: 'Char portions, 30 x 170 g',
    product: 'Arctic char or salmon: portions',
    per: 'case',
    usual: 149,
    swing: 0.04,
    pieceWeight: 170,
    packPieces: 30,
    usableShare: 0.98,
  },
]

const DAY_MS = 24 * 3600 * 1000

/** The list of a day: the same whenever it is asked for, another one tomorrow. `day` is `2026-11-24`. */
export function listOfDay(day: string): string {
  const number = Math.floor(Date.parse(`${day}T00:00:00Z`) / DAY_MS)
  return priceListCsv(
    ARTICLES.map((article, index) => lineOf(article, day, randomLcg(((number * 131 + index * 17) % 9973) / 9973)())),
  )
}

const lineOf = (article: FeedArticle, day: string, chance: number): PriceListLine => ({
  supplier: article.supplier,
  code: article.code,
  name: article.name,
  kind: article.item ? 'whole' : 'ready',
  item: article.item ?? null,
  product: article.product ?? null,
  price: { amount: Math.round(article.usual * (1 + article.swing * (2 * chance - 1)) * 20) / 20, per: article.per },
  pieceWeight: article.pieceWeight,
  packPieces: article.packPieces ?? null,
  packWeight: null,
  usableShare: article.usableShare ?? null,
  handlingMinutesPerPiece: article.product ? 0.2 : null,
  delivery: null,
  minimumOrder: null,
  from: day,
  until: null,
})
