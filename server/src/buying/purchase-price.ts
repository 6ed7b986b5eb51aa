import { isSamePrice, priceOn } from '@fleam/core/buying'
import type { Price } from '@fleam/core/fabrication'
import { Refusal } from '../http/index.ts'
import { decide, type Scope } from '../scope/index.ts'
import { importLines } from './import.ts'
import * as store from './store.ts'

/** What was bought of whom, and when. */
export interface Bought {
  itemId: string
  supplierId: string | null
  day: string
}

/** The articles of an item that come whole from a supplier. */
async function wholeArticles(scope: Scope, { itemId, supplierId }: Bought) {
  const articles = await store.articlesOfItems(scope, [itemId])
  return articles.filter(({ article }) => article.kind === 'whole' && article.supplierId === supplierId)
}

/** The price of the price book for what was bought on a day; null where it has none. */
export async function bookPrice(scope: Scope, bought: Bought): Promise<Price | null> {
  if (bought.supplierId === null) return null
  for (const { prices } of await wholeArticles(scope, bought)) {
    const price = priceOn(prices, bought.day)
    if (price) return price.price
  }
  return null
}

/**
 * Brings a price that was typed at a bench into the price book: as that of its article from that day on, of a new
 * article where there is none. What the book says already, or says otherwise of that very day, stays.
 */
export async function createTypedPrice(scope: Scope, bought: Bought, price: Price, itemName: string): Promise<void> {
  const { supplierId } = bought
  // For a whole lot, or a case of unknown size, the next one costs something else.
  if (supplierId === null || price.amount <= 0 || price.per === 'lot' || price.per === 'case') return
  try {
    // What two benches say at once is looked at one after the other.
    await decide(scope, 'prices', (inside) => addIfNew(inside, bought, price, itemName))
  } catch (error) {
    // Another price of that day is there: the book is not argued with.
    if (!(error instanceof Refusal)) throw error
  }
}

async function addIfNew(scope: Scope, bought: Bought, price: Price, itemName: string): Promise<void> {
  const { itemId, day } = bought
  const supplierId = bought.supplierId as string
  const [article] = await wholeArticles(scope, bought)
  const now = article && priceOn(article.prices, day)?.price
  if (now && isSamePrice(now, price)) return
  const { code, name, usableShare, handlingMinutesPerPiece } = article?.article ?? {
    code: itemName,
    name: itemName,
    usableShare: null,
    handlingMinutesPerPiece: null,
  }
  const line = {
    ...{ row: 1, supplierId, code, name, kind: 'whole' as const, itemId, productId: null },
    ...{ price, pieceWeight: null, packPieces: null, packWeight: null, delivery: null, minimumOrder: null },
    ...{ usableShare, handlingMinutesPerPiece, from: day, until: null },
  }
  const mapping = { columns: {}, supplier: null, kind: 'whole' as const, from: day, decimal: 'auto' as const }
  await importLines(scope, { lines: [line], mapping, source: 'typed' })
}
