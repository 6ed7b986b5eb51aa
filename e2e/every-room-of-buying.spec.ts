import type { ArticleRows } from '@fleam/contract/buying'
import type { LotRow } from '@fleam/contract/receiving'
import type { APIRequestContext } from '@playwright/test'
import { checkRooms } from './check-rooms.ts'
import { larchHalt } from './kitchen.ts'

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
  const { id } = await larchHalt(request)
  const { rows } = (await (await request.get(`/api/kitchens/${id}/articles?words=tenderloin`)).json()) as ArticleRows
  return rows[0]?.article.id
}

async function lotOf(request: APIRequestContext): Promise<string | undefined> {
  const { id } = await larchHalt(request)
  return ((await (await request.get(`/api/kitchens/${id}/lots?words=duck`)).json()) as LotRow[])[0]?.lot.id
}
