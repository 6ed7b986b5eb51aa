import type { Product } from '@fleam/contract/buying/schemas'
import {
  assumedPlate,
  type BuyingForm,
  type ProductPlate,
  piecesOnPlate,
  priceOn,
  type Quote,
  type ReadyForm,
  type WholeForm,
} from '@fleam/core/buying'
import { type Estimate, estimateForSupplier } from '@fleam/core/forecasting'
import type { Item, Style } from '@fleam/core/style'
import { type StyleTest, styleTests } from '../logbook/index.ts'
import type { Scope } from '../scope/index.ts'
import { items, products as knownProducts } from '../style/index.ts'
import { suppliers } from '../supplier/index.ts'
import * as store from './store.ts'

/** A product with every pile of every cut style that gives it. */
interface WantedProduct {
  id: string
  name: string
  pile: string
  /** What the kitchen said a plate of it is. */
  plate: ProductPlate | null
  /** Grams of a piece as it is weighed, and what of it is bone; null where no style says. */
  piece: { weight: number; boneShare: number } | null
  ways: { item: Item; style: Style; pile: string }[]
}

async function wantedProducts(scope: Scope): Promise<WantedProduct[]> {
  const productById = new Map((await knownProducts(scope)).map((product) => [product.id, product]))
  const wanted = new Map<string, WantedProduct>()
  for (const item of await items(scope)) {
    for (const style of item.styles) {
      if (item.isArchived || style.isArchived) continue
      for (const { productId, name: pile, bounds, boneShare } of style.piles) {
        const product = productId === null ? undefined : productById.get(productId)
        if (!product) continue
        const wantedProduct = wanted.get(product.id) ?? { ...product, pile, piece: null, ways: [] }
        wantedProduct.piece ??= bounds ? { weight: bounds.target, boneShare } : null
        wantedProduct.ways.push({ item, style, pile })
        wanted.set(product.id, wantedProduct)
      }
    }
  }
  return [...wanted.values()]
}

/** Grams of a plate of a product as it is weighed, bones in; null where nobody says what a piece weighs. */
function weightOfPlate(piece: WantedProduct['piece'], plate: ProductPlate | null): number | null {
  if (!piece) return plate?.by === 'edible' ? plate.grams : null
  const edible = piece.weight * (1 - piece.boneShare)
  return piece.weight * piecesOnPlate(plate ?? assumedPlate(edible), edible)
}

/** Products that can be compared: those that can be bought ready first, then those with most priced forms. */
export async function products(scope: Scope): Promise<Product[]> {
  const counts = await store.tieCounts(scope)
  const count = (id: string) => counts.get(id) ?? 0
  return (await wantedProducts(scope))
    .map(({ id, name, pile, plate, piece, ways }) => {
      const ready = count(id)
      const forms = ready + ways.reduce((sum, { item }) => sum + count(item.id), 0)
      return { ready, product: { id, name, pile, plate, plateWeight: weightOfPlate(piece, plate), forms } }
    })
    .sort(
      (a, b) =>
        Math.sign(b.ready) - Math.sign(a.ready) ||
        b.product.forms - a.product.forms ||
        a.product.name.localeCompare(b.product.name),
    )
    .map(({ product }) => product)
}

/** Every way to come by a product that has a price on a day, with the yields that the kitchen expects. */
export async function formsOf(scope: Scope, productId: string, day: string): Promise<BuyingForm[]> {
  const wanted = (await wantedProducts(scope)).find((wantedProduct) => wantedProduct.id === productId)
  if (!wanted) return []
  const whole = await wholeForms(scope, wanted.ways, day)
  // A pile may be called otherwise in another style: in a comparison it bears the name of what is wanted.
  const named = whole.map((form) => {
    const way = wanted.ways.find(({ style }) => form.styleId === style.id)
    return way ? { ...form, piles: renamed(form.piles, way.pile, wanted.pile) } : form
  })
  const ready = await readyForms(scope, [productId], day)
  return [...named, ...ready.map(({ form }) => form)]
}

/** A cut style with one article that is cut in it, as a form, with where both come from. */
export interface CutWay {
  item: Item
  style: Style
  form: WholeForm
}

/** Every way to cut some products here, and all of them that can be bought ready, at the prices of a day. */
export async function waysToProducts(scope: Scope, productIds: readonly string[], day: string) {
  const wanted = (await wantedProducts(scope)).filter(({ id }) => productIds.includes(id))
  const wayOfStyle = new Map(wanted.flatMap(({ ways }) => ways.map((way) => [way.style.id, way])))
  const forms = await wholeForms(scope, [...wayOfStyle.values()], day)
  return {
    wanted: wanted.map(({ id, name, plate, piece }) => ({ id, name, plateWeight: weightOfPlate(piece, plate) })),
    ways: forms.flatMap((form): CutWay[] => {
      const way = wayOfStyle.get(form.styleId)
      return way ? [{ item: way.item, style: way.style, form }] : []
    }),
    ready: await readyForms(scope, productIds, day),
  }
}

const renamed = (piles: WholeForm['piles'], from: string, to: string) =>
  from === to ? piles : piles.map((pile) => (pile.name === from ? { ...pile, name: to } : pile))

/** What can be bought ready of some products, at the prices of a day, with the product that each is. */
export async function readyForms(
  scope: Scope,
  productIds: readonly string[],
  day: string,
): Promise<{ productId: string; form: ReadyForm }[]> {
  const articles = await store.articlesOfProducts(scope, productIds)
  if (articles.length === 0) return []
  const terms = await termsOf(scope)
  return articles.flatMap(({ article, prices }) => {
    const price = priceOn(prices, day)
    if (!price || article.productId === null) return []
    const form: ReadyForm = {
      kind: 'ready',
      id: article.id,
      ...saidOf(article),
      quote: quoteOf(price, terms(article.supplierId)),
      since: price.from,
      usableShare: article.usableShare ?? 1,
      handlingMinutesPerPiece: article.handlingMinutesPerPiece ?? 0,
    }
    return [{ productId: article.productId, form }]
  })
}

/** Every cut style of an item with every price of it. */
export function formsOfStyles(scope: Scope, item: Item, day: string): Promise<WholeForm[]> {
  const ways = item.styles.filter((style) => !style.isArchived).map((style) => ({ item, style }))
  return wholeForms(scope, ways, day)
}

async function termsOf(scope: Scope) {
  const supplierById = new Map((await suppliers(scope)).map((supplier) => [supplier.id, supplier]))
  return (id: string) => supplierById.get(id) ?? { delivery: 0, minimumOrder: null }
}

const saidOf = ({ id, supplierId, supplier, name }: store.PricedArticle['article']) => ({
  articleId: id,
  supplierId,
  supplier,
  article: name,
})

type Asked = Pick<Quote, 'price' | 'pieceWeight' | 'packPieces' | 'packWeight'> & {
  delivery: number | null
  minimumOrder: number | null
}

/** What the price says; where it is silent, the supplier's own terms. */
const quoteOf = (price: Asked, terms: { delivery: number; minimumOrder: number | null }): Quote => ({
  price: price.price,
  pieceWeight: price.pieceWeight,
  packPieces: price.packPieces,
  packWeight: price.packWeight,
  delivery: price.delivery ?? terms.delivery,
  minimumOrder: price.minimumOrder ?? terms.minimumOrder,
})

async function wholeForms(
  scope: Scope,
  ways: readonly { item: Item; style: Style }[],
  day: string,
): Promise<WholeForm[]> {
  const articles = await store.articlesOfItems(scope, [...new Set(ways.map(({ item }) => item.id))])
  if (articles.length === 0) return []
  const terms = await termsOf(scope)
  const tests = await styleTests(
    scope,
    ways.map(({ style }) => style.id),
  )
  return ways.flatMap(({ item, style }) =>
    articles.flatMap(({ article, prices }): WholeForm[] => {
      const price = article.itemId === item.id ? priceOn(prices, day) : null
      if (!price) return []
      return [
        {
          kind: 'whole',
          id: `${article.id} ${style.id}`,
          ...saidOf(article),
          quote: quoteOf(price, terms(article.supplierId)),
          since: price.from,
          item: item.name,
          styleId: style.id,
          style: style.name,
          unitWeight: item.unitWeight.usual,
          ...expectedOf(style, tests.get(style.id) ?? [], article.supplierId),
        },
      ]
    }),
  )
}

const estimateOf = (estimate: Estimate | null): Estimate =>
  estimate ?? { basis: 'assumed', tests: 0, value: 0, halfWidth: 0 }

/** What to expect of a style with a supplier's goods: yields differ by supplier, minutes do not. */
function expectedOf(style: Style, tests: readonly StyleTest[], supplierId: string) {
  const priced = style.consumables.reduce((sum, consumable) => sum + (consumable.costPerUnit ?? 0), 0)
  const sharesOf = (pileId: string, of: readonly StyleTest[]) => of.flatMap((test) => test.shares.get(pileId) ?? [])
  const minutes = tests.flatMap((test) => test.minutes ?? [])
  const ofSupplier = tests.filter((test) => test.supplierId === supplierId)
  return {
    minutesPerUnit: estimateOf(estimateForSupplier(style.minutesPerUnit, minutes, [])),
    consumablesPerUnit: tests[0]?.consumables ?? priced,
    piles: style.piles.map((pile) => ({
      name: pile.name,
      class: pile.class,
      share: estimateOf(
        estimateForSupplier(pile.expectedShare, sharesOf(pile.id, tests), sharesOf(pile.id, ofSupplier)),
      ),
      target: pile.bounds?.target ?? null,
      portions:
        pile.bounds && pile.portionsPerUnit && pile.class === 'primary'
          ? { perUnit: pile.portionsPerUnit, low: pile.bounds.low, high: pile.bounds.high }
          : null,
      keeping: pile.chilledDays === null ? null : { chilledDays: pile.chilledDays, frozenMonths: pile.frozenMonths },
      valuePerKg: pile.valuePerKg,
      usedShare: pile.usedShare,
      processingPerKg: pile.processingPerKg,
    })),
  }
}
