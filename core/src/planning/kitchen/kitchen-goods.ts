import {
  type FormPile,
  keptDays,
  type LightPlates,
  orderFor,
  pieceWeightOf,
  platesFromPiece,
  platesFromUnit,
  type ReadyForm,
  type WholeForm,
} from '../../buying/index.ts'
import { creditOf } from '../../costing/index.ts'
import { usedShareOf } from '../../fabrication/index.ts'
import type { Estimate } from '../../forecasting/index.ts'
import { GRAMS_PER_KILOGRAM } from '../../units/index.ts'
import type { GoodsCut, GoodsProduct, GoodsReady, GoodsWhole, GoodsYield, Known, PlanGoods } from './goods.ts'
import { pooledSpread, type RelativeSpread, spreadToPlan } from './spread.ts'

/** Minutes to lay out and clean up, once for each cut of a day, where nobody said. */
const ASSUMED_SET_UP = 10

/** A product that is asked for, with what of it lies on one plate, grams as it is weighed. */
export interface WantedProduct {
  id: string
  name: string
  plateWeight: number
}

/** A cut style with one article to cut it from, and what its records say. */
export interface GoodsWay {
  form: WholeForm
  itemId: string
  unitName: { one: string; many: string }
  /** Days on which the whole thing may be cut, that of its delivery counted. */
  keepsWhole: Known
  /** The piles of the form, in its order. */
  piles: readonly { id: string; productId: string | null }[]
  /** Grams of it that were cut in this style in the busiest of the last weeks; null where too few weeks tell. */
  mostPerWeek: number | null
  /** Shares of AP that the records of the style gave, by the pile's id. */
  shares: ReadonlyMap<string, readonly number[]>
}

export interface KitchenGoods {
  wanted: readonly WantedProduct[]
  ways: readonly GoodsWay[]
  ready: readonly { productId: string; form: ReadyForm }[]
  suppliers: PlanGoods['suppliers']
  /** Lots in the cold, what is left of each in units, and the article it came as where that is known. */
  lots: readonly (Omit<PlanGoods['stock'][number], 'wholeId'> & {
    itemId: string
    supplierId: string
    articleId: string | null
  })[]
  cooks: PlanGoods['cooks']
  /** What is on its way, and what accepted plans hold. */
  coming: PlanGoods['coming']
  held: PlanGoods['held']
  boardShare: PlanGoods['boardShare']
  lightPlates: LightPlates
  wagePerHour: number
}

const assumed = (value: number): Known => ({ value, source: 'assumed' })
const estimated = ({ value, basis }: Pick<Estimate, 'value' | 'basis'>, factor = 1): Known => ({
  value: value * factor,
  source: basis,
})

/** What a kitchen knows of some products, ready to plan with: every value with where it is from. */
export function kitchenGoods(given: KitchenGoods): PlanGoods {
  const wanted = new Map(given.wanted.map((product) => [product.id, product]))
  // A style that gives nothing that is asked for is not cut for this plan.
  const ways = given.ways.filter(
    ({ form, piles }) =>
      orderFor(alone(form.quote), 1, form.unitWeight) !== null &&
      piles.some(({ productId }, index) => wanted.has(productId ?? '') && (form.piles[index]?.share.value ?? 0) > 0),
  )
  const products = new Map<string, GoodsProduct>()
  const styleOf = new Map(
    ways.flatMap(({ form, piles }) => piles.map(({ id, productId }) => [productId ?? id, form.style])),
  )
  const cuts = ways.map((way) =>
    cutOf(way, { wanted, pooled: pooledOf(given.ways, way.itemId), lightPlates: given.lightPlates }, products),
  )
  const ready = given.ready.flatMap(
    ({ productId, form }) => readyOf(productId, form, { wanted, lightPlates: given.lightPlates }) ?? [],
  )
  for (const { id, name, plateWeight } of given.wanted) {
    const own = {
      id,
      name,
      unit: 'portion',
      isWaste: false,
      keepsDays: assumed(1),
      surplusValue: assumed(0),
      disposal: assumed(0),
      usedPerWeek: null,
    } as const
    if (!products.has(id)) products.set(id, { ...own, cold: assumed(plateWeight / GRAMS_PER_KILOGRAM) })
  }
  const wholes = [...new Map(ways.map((way) => [way.form.articleId, wholeOf(way)])).values()]
  const used = new Set([...wholes, ...ready].map(({ supplierId }) => supplierId))
  const supplierOf = new Map(given.suppliers.map(({ id, name }) => [id, name]))
  const ordered = uniqueNames([...wholes, ...ready], ({ supplierId }) => supplierOf.get(supplierId) ?? '')
  return {
    products: uniqueNames(withUse([...products.values()], ways), ({ id }) => styleOf.get(id) ?? ''),
    suppliers: given.suppliers.filter(({ id }) => used.has(id)),
    wholes: ordered.slice(0, wholes.length) as GoodsWhole[],
    cuts: uniqueNames(
      cuts,
      ({ wholeId }) => supplierOf.get(wholes.find(({ id }) => id === wholeId)?.supplierId ?? '') ?? '',
    ),
    ready: ordered.slice(wholes.length) as GoodsReady[],
    stock: given.lots.flatMap(({ itemId, supplierId, articleId, ...lot }) => {
      const offers = wholes.filter((whole) => whole.itemId === itemId)
      const whole =
        offers.find(({ id }) => id === articleId) ?? offers.find((row) => row.supplierId === supplierId) ?? offers[0]
      return whole && lot.units + lot.held > 0 ? [{ ...lot, wholeId: whole.id }] : []
    }),
    coming: given.coming,
    cooks: given.cooks,
    held: given.held,
    boardShare: given.boardShare,
    wagePerHour: given.wagePerHour,
  }
}

/** Products with what the kitchen used of each: of all piles that are one product together, each pile counted once. */
function withUse(products: readonly GoodsProduct[], ways: readonly GoodsWay[]): GoodsProduct[] {
  const used = new Map<string, Map<string, number>>()
  for (const { form, piles, mostPerWeek } of ways) {
    if (mostPerWeek === null) continue
    piles.forEach(({ id, productId }, index) => {
      const pile = form.piles[index]
      if (!pile) return
      const kilos =
        (mostPerWeek * pile.share.value * usedShareOf({ class: pile.class, usedShare: pile.usedShare ?? 1 })) /
        GRAMS_PER_KILOGRAM
      used.set(productId ?? id, new Map(used.get(productId ?? id)).set(id, kilos))
    })
  }
  return products.map((product) => {
    const kilosByPile = product.unit === 'kg' ? used.get(product.id) : undefined
    if (!kilosByPile) return product
    return {
      ...product,
      usedPerWeek: { value: [...kilosByPile.values()].reduce((sum, kilos) => sum + kilos, 0), source: 'own' },
    }
  })
}

/** A quote without what belongs to the whole order. */
const alone = (quote: WholeForm['quote']) => ({ ...quote, minimumOrder: null })

/** Names that tell their goods apart: one that is there twice says whose it is. */
function uniqueNames<T extends { name: string }>(list: readonly T[], whose: (each: T) => string): T[] {
  const taken = new Set<string>()
  return list.map((item) => {
    const isTwice = list.some((other) => other !== item && other.name === item.name)
    let name = isTwice ? `${item.name} (${whose(item)})` : item.name
    for (let more = 2; taken.has(name); more++) name = `${item.name} (${whose(item)}, ${more})`
    taken.add(name)
    return { ...item, name }
  })
}

/** What the portions of an item's styles spread by, as a part of their share. */
function pooledOf(ways: readonly GoodsWay[], itemId: string): RelativeSpread | null {
  const styles = new Map(ways.filter((way) => way.itemId === itemId).map((way) => [way.form.styleId, way]))
  return pooledSpread(
    [...styles.values()].flatMap(({ form, piles, shares }) =>
      piles.flatMap(({ id }, index) => (form.piles[index]?.class === 'primary' ? [shares.get(id) ?? []] : [])),
    ),
  )
}

function wholeOf({ form, itemId, unitName, keepsWhole }: GoodsWay): GoodsWhole {
  const order = orderFor(alone(form.quote), 1, form.unitWeight)
  return {
    id: form.articleId,
    name: form.article,
    supplierId: form.supplierId,
    itemId,
    unitName,
    pack: order?.pieces ?? 1,
    price: { value: order?.goods ?? 0, source: 'price-book' },
    keepsDays: keepsWhole,
    cold: { value: (pieceWeightOf(form.quote) ?? form.unitWeight) / GRAMS_PER_KILOGRAM, source: 'price-book' },
  }
}

interface Asked {
  wanted: ReadonlyMap<string, WantedProduct>
  lightPlates: LightPlates
}

function cutOf(
  { form, piles, shares }: GoodsWay,
  { wanted, lightPlates, pooled }: Asked & { pooled: RelativeSpread | null },
  products: Map<string, GoodsProduct>,
): GoodsCut {
  const unitWeight = pieceWeightOf(form.quote) ?? form.unitWeight
  const yields = piles.flatMap(({ id, productId }, index): GoodsYield[] => {
    const pile = form.piles[index]
    if (!pile || pile.share.value <= 0) return []
    const product = productId === null ? undefined : wanted.get(productId)
    if (!product) return [besideYield(form, { id: productId ?? id, pile, unitWeight }, products)]
    if (!products.has(product.id)) products.set(product.id, portionOf(product, pile))
    const plates = platesFromUnit(form, { product: pile.name, plateWeight: product.plateWeight, lightPlates })
    const { relativeSd, ...known } = spreadToPlan(shares.get(id) ?? [], pooled)
    return [
      {
        productId: product.id,
        quantity: { value: plates, source: pile.share.basis },
        carries: plates > 0 ? (pile.share.value * unitWeight) / plates : null,
        sd: relativeSd * plates,
        ...known,
      },
    ]
  })
  return {
    id: form.id,
    name: `${form.style}, ${form.article}`,
    styleId: form.styleId,
    wholeId: form.articleId,
    minutes: estimated(form.minutesPerUnit),
    setUp: assumed(ASSUMED_SET_UP),
    consumables: assumed(form.consumablesPerUnit),
    restDays: assumed(0),
    yields: merged(yields),
  }
}

/** Two piles of one product are one yield. */
function merged(yields: readonly GoodsYield[]): GoodsYield[] {
  const byProduct = new Map<string, GoodsYield>()
  for (const other of yields) {
    const before = byProduct.get(other.productId)
    byProduct.set(
      other.productId,
      before
        ? {
            ...before,
            quantity: { ...before.quantity, value: before.quantity.value + other.quantity.value },
            sd: Math.hypot(before.sd, other.sd),
          }
        : other,
    )
  }
  return [...byProduct.values()]
}

/** Days on which it may serve, the day of making counted, as its label says; a day where nobody says. */
const daysOfPile = (pile: FormPile): Known => assumed(pile.keeping === null ? 1 : keptDays(pile.keeping))

const portionOf = ({ id, name, plateWeight }: WantedProduct, pile: FormPile): GoodsProduct => ({
  id,
  name,
  unit: 'portion',
  isWaste: false,
  keepsDays: daysOfPile(pile),
  cold: assumed(plateWeight / GRAMS_PER_KILOGRAM),
  surplusValue: assumed(0),
  disposal: assumed(0),
  usedPerWeek: null,
})

/** What comes beside what is asked for, by the kilo: it is worth what the kitchen says of its pile, or costs something. */
function besideYield(
  form: WholeForm,
  { id, pile, unitWeight }: { id: string; pile: FormPile; unitWeight: number },
  products: Map<string, GoodsProduct>,
): GoodsYield {
  if (!products.has(id)) {
    const worth = worthOfKilo(pile)
    products.set(id, {
      id,
      name: `${form.item}: ${pile.name}`,
      unit: 'kg',
      isWaste: pile.class === 'waste',
      keepsDays: daysOfPile(pile),
      cold: assumed(1),
      surplusValue: { value: Math.max(0, worth), source: pile.valuePerKg === null ? 'assumed' : 'own' },
      disposal: { value: Math.max(0, -worth), source: pile.valuePerKg === null ? 'assumed' : 'own' },
      usedPerWeek: null,
    })
  }
  const quantity = estimated(pile.share, unitWeight / GRAMS_PER_KILOGRAM)
  return { productId: id, quantity, carries: null, sd: 0, df: null, tests: pile.share.tests, spread: 'none' }
}

/** Money a kilo of a pile brings in all: of other portions their value, of the rest what of it is used, less the work. */
function worthOfKilo(pile: FormPile): number {
  if (pile.class === 'primary') return pile.valuePerKg ?? 0
  const { name, class: of, valuePerKg, usedShare, processingPerKg } = pile
  const worth = {
    ...(valuePerKg === null ? {} : { valuePerKg }),
    ...(usedShare === null ? {} : { usedShare }),
    ...(processingPerKg === null ? {} : { processingPerKg }),
  }
  return creditOf({ name, class: of, weight: GRAMS_PER_KILOGRAM, ...worth }, GRAMS_PER_KILOGRAM, 'net')
}

function readyOf(productId: string, form: ReadyForm, { wanted, lightPlates }: Asked): GoodsReady | null {
  const order = orderFor(alone(form.quote), 1)
  const pieceWeight = pieceWeightOf(form.quote)
  const product = wanted.get(productId)
  if (!order || pieceWeight === null || !product) return null
  const plates = platesFromPiece(form, pieceWeight, { plateWeight: product.plateWeight, lightPlates })
  return {
    id: form.articleId,
    name: form.article,
    supplierId: form.supplierId,
    productId,
    quantity: { value: order.pieces * plates, source: 'price-book' },
    carries: plates > 0 ? (Math.min(pieceWeight, product.plateWeight) * form.usableShare) / plates : null,
    price: { value: order.goods, source: 'price-book' },
    handling: { value: order.pieces * form.handlingMinutesPerPiece, source: 'price-book' },
  }
}
