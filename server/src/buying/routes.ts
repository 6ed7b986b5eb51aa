import { buyingOperations } from '@fleam/contract/buying/operations'
import { priceListCsv } from '@fleam/core/price-lists'
import { dayOf } from '../scope/index.ts'
import { savedFile, serve } from '../serve/index.ts'
import { updatePlate } from '../style/index.ts'
import { formsOfItem } from './assumed-values.ts'
import { updatePrice } from './correct.ts'
import { formsOf, products as listProducts } from './forms.ts'
import * as service from './service.ts'
import { movedPrices, turnedVerdicts } from './turned.ts'

/** The price book, true cost by product, and verdicts that prices have turned. */
export const buyingRoutes = serve(buyingOperations, {
  listArticles: ({ scope, query }) => {
    const { words, tied, limit, offset } = query
    return service.articles(scope, { words, isTied: tied === 'true', limit, offset })
  },
  readArticle: ({ scope, params }) => service.articleHistory(scope, params.articleId),
  listProducts: ({ scope }) => listProducts(scope),
  updatePlate: async ({ scope, params, body }) => {
    await updatePlate(scope, params.productId, body.plate)
    return listProducts(scope)
  },
  listForms: ({ scope, query }) => {
    const day = dayOf(scope)
    return 'product' in query ? formsOf(scope, query.product, day) : formsOfItem(scope, query.item, day)
  },
  listTurnedVerdicts: ({ scope }) => turnedVerdicts(scope, dayOf(scope)),
  readMovedPrices: ({ scope, params }) => movedPrices(scope, params.fabricationId, dayOf(scope)),
  createPrice: ({ scope, body }) => service.createPrice(scope, body),
  updatePrice: async ({ scope, params, body }) =>
    service.articleHistory(scope, await updatePrice(scope, params.priceId, body)),
  exportPriceList: async ({ scope }) => savedFile('price-list.csv', await service.exportList(scope)),
  readPriceListTemplate: () => savedFile('price-list-template.csv', priceListCsv([])),
})
