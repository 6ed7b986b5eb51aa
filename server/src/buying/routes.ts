import {
  articleHistory,
  articleRows,
  buyingForms,
  movedPrices as movedPricesAnswer,
  plateEdit,
  priceAdded,
  priceCorrection,
  products,
  turnedRows,
} from '@fleam/contract/buying'
import { id } from '@fleam/contract/numbers'
import { priceListCsv } from '@fleam/contract/price-list-csv'
import { priceIssue } from '@fleam/contract/price-row'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import { dayOf, type Scopes } from '../scope/index.ts'
import { updatePlate } from '../style/index.ts'
import { formsOfItem } from './assumed-values.ts'
import { updatePrice } from './correct.ts'
import { formsOf, products as listProducts } from './forms.ts'
import * as service from './service.ts'
import { movedPrices, turnedVerdicts } from './turned.ts'

const tags = ['buying']
const MAX_LISTED = 200
const MAX_OFFSET = 10_000_000

/** The price book, true cost by product, and verdicts that prices have turned. */
export function buyingRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId'

  const query = z.object({
    words: z.string().max(200).default(''),
    tied: z.enum(['true', 'false']).default('false'),
    limit: z.coerce.number().int().min(1).max(MAX_LISTED).default(50),
    offset: z.coerce.number().int().min(0).max(MAX_OFFSET).default(0),
  })
  app.get(
    `${base}/articles`,
    {
      schema: {
        operationId: 'listArticles',
        summary: 'The price book, page by page',
        tags,
        params: kitchenParams,
        querystring: query,
        response: { 200: articleRows },
      },
    },
    async (request) => {
      const { words, tied, limit, offset } = request.query
      return service.articles(await scopeOf(request), { words, isTied: tied === 'true', limit, offset })
    },
  )

  app.get(
    `${base}/articles/:id`,
    {
      schema: {
        operationId: 'readArticle',
        summary: 'An article with every price it has had, and what rests on it',
        tags,
        params: fabricationParams,
        response: { 200: articleHistory },
      },
    },
    async (request) => service.articleHistory(await scopeOf(request), request.params.id),
  )

  app.get(
    `${base}/products`,
    {
      schema: {
        operationId: 'listProducts',
        summary: 'Products that can be compared',
        tags,
        params: kitchenParams,
        response: { 200: products },
      },
    },
    async (request) => listProducts(await scopeOf(request)),
  )

  app.put(
    `${base}/products/:id/plate`,
    {
      schema: {
        operationId: 'updatePlate',
        summary: 'Says what is served as one plate of a product',
        tags,
        params: fabricationParams,
        body: plateEdit,
        response: { 200: products },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      await updatePlate(scope, request.params.id, request.body.plate)
      return listProducts(scope)
    },
  )

  app.get(
    `${base}/forms`,
    {
      schema: {
        operationId: 'listForms',
        summary: 'The priced forms of a product or of an item',
        tags,
        params: kitchenParams,
        querystring: z.object({ product: id }).or(z.object({ item: id })),
        response: { 200: buyingForms },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      const day = dayOf(scope)
      const asked = request.query
      return 'product' in asked ? formsOf(scope, asked.product, day) : formsOfItem(scope, asked.item, day)
    },
  )

  app.get(
    `${base}/turned`,
    {
      schema: {
        operationId: 'listTurnedVerdicts',
        summary: 'Records whose verdict today’s prices have turned',
        tags,
        params: kitchenParams,
        response: { 200: turnedRows },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      return turnedVerdicts(scope, dayOf(scope))
    },
  )

  app.get(
    `${base}/fabrications/:id/moved-prices`,
    {
      schema: {
        operationId: 'readMovedPrices',
        summary: 'Prices of today that are not those of a record any more',
        tags,
        params: fabricationParams,
        response: { 200: movedPricesAnswer },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      return movedPrices(scope, request.params.id, dayOf(scope))
    },
  )

  const result = z.object({
    rows: z.number(),
    newArticles: z.number(),
    changedArticles: z.number(),
    newPrices: z.number(),
    known: z.number(),
    skipped: z.array(priceIssue),
  })
  app.post(
    `${base}/prices`,
    {
      schema: {
        operationId: 'createPrice',
        refuses: ['price-list-wrong'],
        summary: 'Puts a price into the price book',
        tags,
        params: kitchenParams,
        body: priceAdded,
        response: { 201: result },
      },
    },
    async (request, reply) => reply.status(201).send(await service.createPrice(await scopeOf(request), request.body)),
  )

  app.post(
    `${base}/prices/:id/correct`,
    {
      schema: {
        operationId: 'updatePrice',
        summary: 'Strikes a price out, or puts another in its place; the struck one stays to be read',
        refuses: ['price-list-wrong'],
        tags,
        params: fabricationParams,
        body: priceCorrection,
        response: { 200: articleHistory },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      return service.articleHistory(scope, await updatePrice(scope, request.params.id, request.body))
    },
  )

  app.get(
    `${base}/price-list.csv`,
    {
      schema: {
        operationId: 'exportPriceList',
        summary: 'The price book as CSV',
        mediaType: 'text/csv',
        tags,
        params: kitchenParams,
      },
    },
    async (request, reply) => {
      const csv = await service.exportList(await scopeOf(request))
      return reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="price-list.csv"')
        .send(csv)
    },
  )

  app.get(
    '/api/price-list-template.csv',
    {
      schema: {
        operationId: 'readPriceListTemplate',
        summary: 'An empty price list with its columns',
        mediaType: 'text/csv',
        tags,
      },
    },
    async (_request, reply) => {
      reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', 'attachment; filename="price-list-template.csv"')
      return priceListCsv([])
    },
  )
}
