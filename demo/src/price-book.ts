import type { Supplier } from '@fleam/contract/buying/schemas'
import type { PriceListLine } from '@fleam/core/price-lists'
import { priceListCsv } from '@fleam/core/price-lists'

/** An article of the made-up suppliers with its price month by month, the last of them today's. */
interface BookArticle {
  supplier: string
  code: string
  name: string
  item?: string
  product?: string
  per: PriceListLine['price']['per']
  /** Steps of its price: so many days ago it became this. */
  steps: readonly (readonly [daysAgo: number, amount: number])[]
  pieceWeight: number
  packPieces?: number
  packWeight?: number
  usableShare?: number
  handlingMinutes?: number
}

export const SUPPLIER_TERMS = [
  { name: 'Ostravale Poultry Yard', delivery: 3, minimumOrder: null, deliveryDays: [1, 2, 3, 4, 5, 6] },
  { name: 'Brindlemere Meats', delivery: 0, minimumOrder: 80, deliveryDays: [2, 4, 6] },
  { name: 'Skerrow Quay Fish', delivery: 8, minimumOrder: null, deliveryDays: [2, 3, 4, 5, 6] },
  { name: 'Plattenkar Provisions', delivery: 12, minimumOrder: 60, deliveryDays: [1, 2, 3, 4, 5] },
] as const satisfies readonly Pick<Supplier, 'name' | 'delivery' | 'minimumOrder' | 'deliveryDays'>[]

const [OSTRAVALE, BRINDLEMERE, SKERROW, PLATTENKAR] = SUPPLIER_TERMS.map(({ name }) => name) as [
  string,
  string,
  string,
  string,
]

const CHICKEN = 'Chicken, eviscerated'
const TENDERLOIN = 'Beef tenderloin, peeled, side muscle on'

/** A price that drifts through the months, by chance and season, and ends where it is today. */
const drift = (today: number, from: number): BookArticle['steps'] =>
  Array.from({ length: 9 }, (_, index) => {
    const daysAgo = 540 - index * 62
    const amount = from + ((today - from) * index) / 8 + Math.sin(index * 2.1) * today * 0.025
    return [daysAgo, index === 8 ? today : Math.round(amount * 20) / 20] as const
  })

const ARTICLES: readonly BookArticle[] = [
  {
    supplier: OSTRAVALE,
    code: 'OY-10',
    name: 'Chicken 2.1 kg',
    item: CHICKEN,
    per: 'kg',
    steps: [...drift(3.05, 2.8).slice(0, 8), [60, 3.05], [25, 3.1]],
    pieceWeight: 2100,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-11',
    name: 'Chicken, crate of six',
    item: CHICKEN,
    per: 'case',
    steps: [
      [200, 36.5],
      [25, 37.8],
    ],
    pieceWeight: 2100,
    packPieces: 6,
  },
  {
    supplier: BRINDLEMERE,
    code: 'BM-1',
    name: 'Chicken, economy',
    item: CHICKEN,
    per: 'kg',
    steps: drift(2.9, 2.7),
    pieceWeight: 2100,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-14',
    name: 'Chicken legs',
    item: 'Chicken legs, whole',
    per: 'kg',
    steps: drift(3.4, 3.1),
    pieceWeight: 340,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-20',
    name: 'Duck 2.4 kg',
    item: 'Duck',
    per: 'kg',
    steps: drift(6.9, 6.2),
    pieceWeight: 2400,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-30',
    name: 'Guinea fowl',
    item: 'Guinea fowl',
    per: 'piece',
    steps: drift(11.5, 10.6),
    pieceWeight: 1450,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-40',
    name: 'Quail, tray of ten',
    item: 'Quail',
    per: 'case',
    steps: drift(28, 26),
    pieceWeight: 185,
    packPieces: 10,
  },
  {
    supplier: OSTRAVALE,
    code: 'OY-50',
    name: 'Turkey, feast weight',
    item: 'Turkey, eviscerated',
    per: 'kg',
    steps: drift(4.6, 4.3),
    pieceWeight: 9000,
  },
  // It rose, fell, and has just risen again: the verdict of the loin turns with it.
  {
    supplier: BRINDLEMERE,
    code: 'BM-7',
    name: 'Tenderloin, peeled',
    item: TENDERLOIN,
    per: 'kg',
    steps: [
      [540, 30.5],
      [390, 31],
      [280, 40.5],
      [190, 36],
      [120, 32],
      [2, 43],
    ],
    pieceWeight: 2600,
  },
  {
    supplier: BRINDLEMERE,
    code: 'BM-9',
    name: 'Rib eye, lip on',
    item: 'Rib eye, boneless, lip on',
    per: 'kg',
    steps: drift(24.5, 22.5),
    pieceWeight: 5500,
  },
  {
    supplier: BRINDLEMERE,
    code: 'BM-20',
    name: 'Lamb rack, chined',
    item: 'Lamb rack, eight ribs, chined, cap on',
    per: 'kg',
    steps: drift(24.5, 22),
    pieceWeight: 1050,
  },
  {
    supplier: BRINDLEMERE,
    code: 'BM-21',
    name: 'Lamb rack, chine on',
    item: 'Lamb rack, eight ribs, chine and cap on',
    per: 'kg',
    steps: drift(18.8, 17),
    pieceWeight: 1500,
  },
  {
    supplier: SKERROW,
    code: 'SQ-10',
    name: 'Hake, gutted',
    item: 'Hake, gutted, head off',
    per: 'kg',
    steps: drift(9.4, 8.8),
    pieceWeight: 2000,
  },
  {
    supplier: SKERROW,
    code: 'SQ-11',
    name: 'Arctic char',
    item: 'Arctic char or salmon, gutted, head on',
    per: 'kg',
    steps: drift(13.4, 12.5),
    pieceWeight: 1500,
  },
  {
    supplier: SKERROW,
    code: 'SQ-12',
    name: 'Turbot',
    item: 'Turbot, gutted',
    per: 'kg',
    steps: drift(24, 22),
    pieceWeight: 2000,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-1',
    name: 'Supremes, 20 x 280 g',
    product: 'Chicken: supremes',
    per: 'case',
    steps: [[540, 76]],
    pieceWeight: 280,
    packPieces: 20,
    usableShare: 0.97,
    handlingMinutes: 0.2,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-3',
    name: 'Duck breasts, vacuum-packed',
    product: 'Duck: breasts',
    per: 'kg',
    steps: drift(19.8, 18),
    pieceWeight: 340,
    usableShare: 0.98,
    handlingMinutes: 0.3,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-7',
    name: 'Tenderloin steaks, 12 x 200 g',
    product: 'Beef tenderloin: centre steaks',
    per: 'case',
    steps: [
      [540, 148],
      [150, 158],
    ],
    pieceWeight: 200,
    packPieces: 12,
    usableShare: 0.98,
    handlingMinutes: 0.2,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-20',
    name: 'Racks, frenched',
    product: 'Lamb rack: frenched racks',
    per: 'kg',
    steps: drift(46, 42),
    pieceWeight: 660,
    usableShare: 0.99,
    handlingMinutes: 0.4,
  },
  {
    supplier: PLATTENKAR,
    code: 'PP-30',
    name: 'Char portions, 30 x 170 g',
    product: 'Arctic char or salmon: portions',
    per: 'case',
    steps: drift(149, 138),
    pieceWeight: 170,
    packPieces: 30,
    usableShare: 0.98,
    handlingMinutes: 0.2,
  },
]

const DAY_MS = 24 * 3600 * 1000
const dayBefore = (now: Date, days: number) => new Date(now.getTime() - days * DAY_MS).toISOString().slice(0, 10)

/** Eighteen months of prices as one list; days are relative to `now`. */
export const priceBook = (now: Date): string =>
  priceListCsv(
    ARTICLES.flatMap((article) =>
      article.steps.map(
        ([daysAgo, amount]): PriceListLine => ({
          supplier: article.supplier,
          code: article.code,
          name: article.name,
          kind: article.item ? 'whole' : 'ready',
          item: article.item ?? null,
          product: article.product ?? null,
          price: { amount, per: article.per },
          pieceWeight: article.pieceWeight,
          packPieces: article.packPieces ?? null,
          packWeight: article.packWeight ?? null,
          usableShare: article.usableShare ?? null,
          handlingMinutesPerPiece: article.handlingMinutes ?? null,
          delivery: null,
          minimumOrder: null,
          from: dayBefore(now, daysAgo),
          until: null,
        }),
      ),
    ),
  )
