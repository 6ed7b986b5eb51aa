import type { Item, Kitchen, Product, Style } from '@fleam/contract'
import {
  type BuyingForm,
  type Estimate,
  estimateForSupplier,
  priceOn,
  productOf,
  type Quote,
  type ReadyForm,
  type WholeForm,
} from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { type StyleTest, styleTests } from '../forecasting/tests.ts'
import * as styles from '../style/store.ts'
import * as store from './store.ts'

/** A pile that can be wanted, with every cut style that gives it. */
interface WantedProduct {
  name: string
  pile: string
  plateWeight: number | null
  ways: { item: Item; style: Style }[]
}

async function wantedProducts(database: Sequelize, kitchenId: string): Promise<WantedProduct[]> {
  const wanted = new Map<string, WantedProduct>()
  for (const item of await styles.items(database, kitchenId)) {
    for (const style of item.styles) {
      if (item.isArchived || style.isArchived) continue
      for (const pile of style.piles) {
        if (pile.class !== 'primary') continue
        const name = productOf(item.name, pile.name)
        const known = wanted.get(name) ?? { name, pile: pile.name, plateWeight: null, ways: [] }
        known.plateWeight ??= pile.bounds?.target ?? null
        known.ways.push({ item, style })
        wanted.set(name, known)
      }
    }
  }
  return [...wanted.values()]
}

/** Products that can be compared: those that can be bought ready first, then those with most priced forms. */
export async function products(database: Sequelize, kitchenId: string): Promise<Product[]> {
  const count = await store.tieCounts(database, kitchenId)
  return (await wantedProducts(database, kitchenId))
    .map(({ name, pile, plateWeight, ways }) => {
      const ready = count('ready', name)
      const forms = ready + ways.reduce((sum, { item }) => sum + count('whole', item.name), 0)
      return { ready, product: { name, pile, plateWeight, forms } }
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
export async function formsOf(
  database: Sequelize,
  kitchen: Kitchen,
  product: string,
  day: string,
): Promise<BuyingForm[]> {
  const wanted = (await wantedProducts(database, kitchen.id)).find((each) => each.name === product)
  if (!wanted) return []
  const whole = await wholeForms(database, kitchen.id, wanted.ways, day)
  const ready = await readyForms(database, kitchen.id, [product], day)
  return [...whole, ...ready.map(({ form }) => form)]
}

/** What can be bought ready of some products, at the prices of a day, with the product that each is. */
export async function readyForms(
  database: Sequelize,
  kitchenId: string,
  products: readonly string[],
  day: string,
): Promise<{ product: string; form: ReadyForm }[]> {
  const articles = await store.articlesOfProducts(database, kitchenId, products)
  if (articles.length === 0) return []
  const terms = await termsOf(database, kitchenId)
  return articles.flatMap(({ article, prices }) => {
    const price = priceOn(prices, day)
    if (!price || article.product === null) return []
    const form: ReadyForm = {
      kind: 'ready',
      id: article.id,
      supplier: article.supplier,
      article: article.name,
      quote: quoteOf(price, terms(article.supplier)),
      since: price.from,
      usableShare: article.usableShare ?? 1,
      handlingMinutesPerPiece: article.handlingMinutesPerPiece ?? 0,
    }
    return [{ product: article.product, form }]
  })
}

/** Every cut style of an item with every price of it: what it would be worth parted, or as meals. */
export async function formsOfItem(
  database: Sequelize,
  kitchenId: string,
  itemId: string,
  day: string,
): Promise<WholeForm[]> {
  const item = (await styles.items(database, kitchenId)).find((each) => each.id === itemId)
  if (!item) return []
  const ways = item.styles.filter((style) => !style.isArchived).map((style) => ({ item, style }))
  return wholeForms(database, kitchenId, ways, day)
}

async function termsOf(database: Sequelize, kitchenId: string) {
  const suppliers = new Map((await store.suppliers(database, kitchenId)).map((each) => [each.name, each]))
  return (name: string) => suppliers.get(name) ?? { delivery: 0, minimumOrder: null }
}

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
  database: Sequelize,
  kitchenId: string,
  ways: readonly { item: Item; style: Style }[],
  day: string,
): Promise<WholeForm[]> {
  const items = [...new Set(ways.map(({ item }) => item.name))]
  const articles = await store.articlesOfItems(database, kitchenId, items)
  if (articles.length === 0) return []
  const terms = await termsOf(database, kitchenId)
  const forms: WholeForm[] = []
  for (const { item, style } of ways) {
    const priced = articles.filter(({ article }) => article.item === item.name)
    if (priced.length === 0) continue
    const tests = await styleTests(database, kitchenId, style.id)
    for (const { article, prices } of priced) {
      const price = priceOn(prices, day)
      if (!price) continue
      forms.push({
        kind: 'whole',
        id: `${article.id} ${style.id}`,
        supplier: article.supplier,
        article: article.name,
        quote: quoteOf(price, terms(article.supplier)),
        since: price.from,
        item: item.name,
        style: style.name,
        unitWeight: item.unitWeight.usual,
        ...expectedOf(style, tests, article.supplier),
      })
    }
  }
  return forms
}

const known = (estimate: Estimate | null): Estimate =>
  estimate ?? { basis: 'assumed', tests: 0, value: 0, halfWidth: 0 }

/** What to expect of a style with a supplier's goods: yields differ by supplier, minutes do not. */
function expectedOf(style: Style, tests: readonly StyleTest[], supplier: string) {
  const priced = style.consumables.reduce((sum, each) => sum + (each.costPerUnit ?? 0), 0)
  const sharesOf = (pile: string, of: readonly StyleTest[]) => of.flatMap((test) => test.shares.get(pile) ?? [])
  const minutes = tests.map((test) => test.minutes)
  const own = tests.filter((test) => test.supplier === supplier)
  return {
    minutesPerUnit: known(estimateForSupplier(style.minutesPerUnit, minutes, [])),
    consumablesPerUnit: tests[0]?.consumables ?? priced,
    piles: style.piles.map((pile) => ({
      name: pile.name,
      class: pile.class,
      share: known(estimateForSupplier(pile.expectedShare, sharesOf(pile.name, tests), sharesOf(pile.name, own))),
      target: pile.bounds?.target ?? null,
      valuePerKg: pile.valuePerKg,
      usedShare: pile.usedShare,
      processingPerKg: pile.processingPerKg,
    })),
  }
}

/** Names that a row of a price list may be tied to. */
export async function tieNames(database: Sequelize, kitchenId: string) {
  const items = await styles.items(database, kitchenId)
  const names = (await wantedProducts(database, kitchenId)).map((each) => each.name)
  return { items: new Set(items.map((item) => item.name)), products: new Set(names) }
}
