import { buyingOperations } from '@fleam/contract/buying/operations'
import { receivingOperations } from '@fleam/contract/receiving/operations'
import type { APIRequestContext } from '@playwright/test'
import { checkRooms } from './check-rooms.ts'
import { callBy, larchHalt } from './kitchen.ts'

// Their colours are those of the rooms that are looked at in the dark too.
checkRooms(
  [
    ['Knife lines', () => '/knife'],
    ['Racks', () => '/knife/racks'],
    ['Plates', () => '/knife/plates'],
    ['Two bonded', () => '/knife/bonded'],
    ['Buying', () => '/buying'],
    ['Prices', () => '/buying/prices'],
    ['an article', async (request) => `/buying/articles/${await articleOf(request)}`],
    ['Price lists', () => '/buying/lists'],
    ['Parted', () => '/buying/parted'],
    ['Meals', () => '/buying/meals'],
    ['Receiving', () => '/buying/receiving'],
    ['a delivery', () => '/buying/receiving/new'],
    ['a lot', async (request) => `/buying/lots/${await lotOf(request)}`],
    ['a claim', async (request) => `/buying/lots/${await lotOf(request)}/claim`],
    ['Cold store', () => '/buying/cold'],
  ],
  ['light'],
)

async function articleOf(request: APIRequestContext): Promise<string | undefined> {
  const { id: kitchenId } = await larchHalt(request)
  const query = { words: 'tenderloin' }
  const { rows } = await callBy(request)(buyingOperations.listArticles, { kitchenId, query })
  return rows[0]?.article.id
}

async function lotOf(request: APIRequestContext): Promise<string | undefined> {
  const { id: kitchenId } = await larchHalt(request)
  const [row] = await callBy(request)(receivingOperations.listLots, { kitchenId, query: { words: 'duck' } })
  return row?.lot.id
}
