import type { PriceCorrection } from '@fleam/contract/buying/schemas'
import type { ArticlePrice } from '@fleam/core/price-lists'
import { notFound, Refusal } from '../http/index.ts'
import { decide, ofKitchen, type Scope, within } from '../scope/index.ts'
import { importLines } from './import.ts'
import * as store from './store.ts'

/**
 * Strikes a price out, or puts another in its place, all or nothing: the struck one stays to be read, with why, and
 * every comparison, forecast and list is without it at once. Answers with the id of the article.
 */
export function updatePrice(scope: Scope, priceId: string, { why, replacement }: PriceCorrection): Promise<string> {
  return decide(scope, 'prices', async (inside) => {
    const { ArticlePrice: Prices } = inside.database.models
    const where = ofKitchen(inside, { id: priceId })
    const price = await Prices.findOne({ where, raw: true, ...within(inside) })
    if (!price) throw notFound('price')
    if (price.struckAt !== null) {
      throw new Refusal('invalid-input', 'This price was struck out before.', {
        issues: [{ path: 'id', message: 'is struck out already' }],
      })
    }
    await Prices.update(
      { struckAt: inside.clock.now().toISOString(), struckBy: inside.actor, struckWhy: why },
      { where, ...within(inside) },
    )
    if (replacement) await addInstead(inside, price.articleId, price.source, replacement)
    return price.articleId
  })
}

async function addInstead(
  scope: Scope,
  articleId: string,
  source: ArticlePrice['source'],
  replacement: NonNullable<PriceCorrection['replacement']>,
): Promise<void> {
  const found = await store.pricedArticle(scope, articleId)
  if (!found) throw notFound('article')
  const { supplierId, code, name, kind, itemId, productId, usableShare, handlingMinutesPerPiece } = found.article
  const article = { supplierId, code, name, kind, itemId, productId, usableShare, handlingMinutesPerPiece }
  const mapping = { columns: {}, supplier: null, kind, from: replacement.from, decimal: 'auto' as const }
  await importLines(scope, { lines: [{ ...article, ...replacement, row: 1 }], mapping, source })
}
