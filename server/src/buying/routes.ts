import {
  articleHistory,
  articleRows,
  buyingForms,
  id,
  priceLineFields,
  priceListCsv,
  products,
  supplier,
  suppliers,
  turnedRows,
} from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import type { Clock } from '../fabrication/routes.ts'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { dayOfKitchen } from './day.ts'
import { formsOf, formsOfItem, products as listProducts } from './forms.ts'
import * as service from './service.ts'
import * as store from './store.ts'
import { turnedVerdicts } from './turned.ts'

const tags = ['buying']
const MOST_LISTED = 200

/** The price book, true cost by product, and verdicts that prices have turned. */
export function buyingRoutes(app: Server, database: Sequelize, clock: Clock): void {
  const base = '/api/kitchens/:kitchenId'
  const today = async (kitchenId: string) => dayOfKitchen(await requireKitchen(database, kitchenId), clock.now())

  app.get(`${base}/suppliers`, { schema: { tags, params: kitchenParams, response: { 200: suppliers } } }, (request) =>
    store.suppliers(database, request.params.kitchenId),
  )

  app.put(
    `${base}/suppliers`,
    { schema: { tags, params: kitchenParams, body: supplier, response: { 200: suppliers } } },
    (request) => service.putSupplier(database, request.params.kitchenId, request.body),
  )

  const query = z.object({
    words: z.string().max(200).default(''),
    tied: z.enum(['true', 'false']).default('false'),
    limit: z.coerce.number().int().min(1).max(MOST_LISTED).default(50),
    offset: z.coerce.number().int().min(0).default(0),
  })
  app.get(
    `${base}/articles`,
    { schema: { tags, params: kitchenParams, querystring: query, response: { 200: articleRows } } },
    async (request) => {
      const { words, tied, limit, offset } = request.query
      const wish = { words, isTied: tied === 'true', limit, offset }
      const { kitchenId } = request.params
      return service.articles(database, kitchenId, wish, await today(kitchenId))
    },
  )

  app.get(
    `${base}/articles/:id`,
    { schema: { tags, params: fabricationParams, response: { 200: articleHistory } } },
    (request) => service.articleHistory(database, request.params.kitchenId, request.params.id),
  )

  app.get(`${base}/products`, { schema: { tags, params: kitchenParams, response: { 200: products } } }, (request) =>
    listProducts(database, request.params.kitchenId),
  )

  app.get(
    `${base}/forms`,
    {
      schema: {
        tags,
        params: kitchenParams,
        querystring: z.object({ product: z.string().max(243) }).or(z.object({ item: id })),
        response: { 200: buyingForms },
      },
    },
    async (request) => {
      const kitchen = await requireKitchen(database, request.params.kitchenId)
      const day = dayOfKitchen(kitchen, clock.now())
      const asked = request.query
      return 'product' in asked
        ? formsOf(database, kitchen, asked.product, day)
        : formsOfItem(database, kitchen.id, asked.item, day)
    },
  )

  app.get(
    `${base}/turned`,
    { schema: { tags, params: kitchenParams, response: { 200: turnedRows } } },
    async (request) => {
      const { kitchenId } = request.params
      return turnedVerdicts(database, kitchenId, await today(kitchenId))
    },
  )

  const result = z.object({
    rows: z.number(),
    newArticles: z.number(),
    changedArticles: z.number(),
    newPrices: z.number(),
    known: z.number(),
  })
  app.post(
    `${base}/prices`,
    { schema: { tags, params: kitchenParams, body: priceLineFields, response: { 201: result } } },
    async (request, reply) => {
      const { kitchenId } = request.params
      return reply.status(201).send(await service.addLine(database, kitchenId, request.body, clock.now()))
    },
  )

  app.get(`${base}/price-list.csv`, { schema: { tags, params: kitchenParams } }, async (request, reply) => {
    reply.type('text/csv; charset=utf-8').header('content-disposition', 'attachment; filename="price-list.csv"')
    return service.exportList(database, request.params.kitchenId)
  })

  app.get('/api/price-list-template.csv', { schema: { tags } }, async (_request, reply) => {
    reply
      .type('text/csv; charset=utf-8')
      .header('content-disposition', 'attachment; filename="price-list-template.csv"')
    return priceListCsv([])
  })
}
