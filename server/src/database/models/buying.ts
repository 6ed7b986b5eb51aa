import { supplier } from '@fleam/contract/buying/schemas'
import { article, articlePrice, rememberedMapping } from '@fleam/core/price-lists'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'
import type { ItemModel, ProductModel } from './style.ts'

export const supplierTable = table('suppliers', supplier)
export type SupplierModel = ModelOf<typeof supplierTable>

/** What suppliers sell; what it is tied to is named by the rows that it points at. */
export const articleTable = table('articles', article.omit({ supplier: true, item: true, product: true }))
export type ArticleModel = ModelOf<
  typeof articleTable,
  { supplier: SupplierModel; item: ItemModel | null; product: ProductModel | null; prices: ArticlePriceModel[] }
>

/** A price as it was quoted: inserted, and never changed but for being struck out. */
export const articlePriceTable = table('article_prices', articlePrice, {
  adds: {
    articleId: z.uuid(),
    /** When, by whom and why it was struck out; null while it counts. */
    struckAt: z.iso.datetime().nullable(),
    struckBy: z.enum(['bench', 'office']).nullable(),
    struckWhy: z.string().nullable(),
  },
  parts: ['price'],
  as: { priceAmount: 'amount', pricePer: 'per', from: 'validFrom', until: 'validUntil' },
})
export type ArticlePriceModel = ModelOf<typeof articlePriceTable>

/** How each supplier's list was read the last time. */
export const supplierMappingTable = table('supplier_mappings', rememberedMapping.omit({ supplier: true }), {
  key: ['kitchenId', 'supplierId'],
})
