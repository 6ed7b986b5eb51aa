import { priceIssue, priceMapping, rememberedMappings } from '@fleam/core/price-lists'
import { id } from '@fleam/core/values'
import { z } from 'zod'
import { file, operations, steps } from '../operation.ts'
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
} from './schemas.ts'

const MAX_LISTED = 200
const MAX_OFFSET = 10_000_000
const articlesQuery = z.object({
  words: z.string().max(200).default(''),
  tied: z.enum(['true', 'false']).default('false'),
  limit: z.coerce.number().int().min(1).max(MAX_LISTED).default(50),
  offset: z.coerce.number().int().min(0).max(MAX_OFFSET).default(0),
})
/** What an import or a pull of the feed has done. */
export const priceImport = z.object({
  rows: z.number(),
  newArticles: z.number(),
  changedArticles: z.number(),
  newPrices: z.number(),
  known: z.number(),
  /** What is wrong with rows that were not taken. */
  skipped: z.array(priceIssue),
})
export type PriceImport = z.infer<typeof priceImport>

export const buyingOperations = operations('buying', {
  listArticles: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/articles',
    summary: 'The price book, page by page',
    query: articlesQuery,
    answer: articleRows,
  },
  readArticle: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/articles/:articleId',
    summary: 'An article with every price it has had, and what rests on it',
    answer: articleHistory,
  },
  listProducts: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/products',
    summary: 'Products that can be compared',
    answer: products,
  },
  updatePlate: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/products/:productId/plate',
    summary: 'Says what is served as one plate of a product',
    body: plateEdit,
    answer: products,
  },
  listForms: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/forms',
    summary: 'The priced forms of a product or of an item',
    query: z.object({ product: id }).or(z.object({ item: id })),
    answer: buyingForms,
  },
  listTurnedVerdicts: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/turned',
    summary: 'Records whose verdict today’s prices have turned',
    answer: turnedRows,
  },
  readMovedPrices: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/moved-prices',
    summary: 'Prices of today that are not those of a record any more',
    answer: movedPricesAnswer,
  },
  createPrice: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/prices',
    summary: 'Puts a price into the price book',
    body: priceAdded,
    answer: priceImport,
    status: 201,
    refuses: ['price-list-wrong'],
  },
  updatePrice: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/prices/:priceId/correct',
    summary: 'Strikes a price out, or puts another in its place; the struck one stays to be read',
    body: priceCorrection,
    answer: articleHistory,
    refuses: ['price-list-wrong'],
  },
  exportPriceList: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/price-list.csv',
    summary: 'The price book as CSV',
    answer: file('text/csv'),
  },
  readPriceListTemplate: {
    method: 'GET',
    path: '/api/price-list-template.csv',
    summary: 'An empty price list with its columns',
    answer: file('text/csv'),
  },
})

/** Letters of a list: as many as the largest request has. */
const LONGEST_LIST = 8_000_000

/** What a price list is sent as: its text, and which column is what. */
export const priceListBody = z.strictObject({
  csv: z.string().max(LONGEST_LIST),
  mapping: priceMapping,
  /** `all` takes every row or none; `good` those that are right, and tells of the others. */
  takes: z.enum(['all', 'good']).default('all'),
})

/** A list of a hundred thousand rows. */
const LARGEST_LIST_BYTES = 8 * 1024 * 1024

export const priceListOperations = operations('buying', {
  importPriceList: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/price-lists',
    summary: 'Takes in a price list, all of it or what is right of it, and tells step by step how far it is',
    body: priceListBody,
    bodyLimit: LARGEST_LIST_BYTES,
    answer: steps(priceImport),
    refuses: ['price-list-wrong', 'cancelled'],
  },
  listMappings: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/price-list-mappings',
    summary: 'Which column of each supplier’s list was which the last time',
    answer: rememberedMappings,
  },
  readPriceFeed: {
    method: 'GET',
    path: '/api/price-feed',
    summary: 'Where the price feed answers',
    answer: z.object({ address: z.string().nullable() }),
  },
  pullPriceFeed: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/price-lists/from-feed',
    summary: 'Takes in today’s list of the price feed',
    answer: priceImport,
    refuses: ['feed-away', 'price-list-wrong'],
  },
})
