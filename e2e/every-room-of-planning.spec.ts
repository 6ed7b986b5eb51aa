import { planOperations } from '@fleam/contract/planning/operations'
import type { APIRequestContext } from '@playwright/test'
import { checkRooms } from './check-rooms.ts'
import { callBy, larchHalt } from './kitchen.ts'

async function planOf(request: APIRequestContext, name: string): Promise<string | undefined> {
  const { id: kitchenId } = await larchHalt(request)
  const rows = await callBy(request)(planOperations.listPlans, { kitchenId })
  return rows.find((row) => row.name === name)?.id
}

checkRooms(
  [
    ['Plan', () => '/plan'],
    ['a plan, deciding', async (request) => `/plan/${await planOf(request, 'The week after')}`],
    ['a plan, accepted', async (request) => `/plan/${await planOf(request, 'The week')}`],
    ['Schedule', async (request) => `/plan/${await planOf(request, 'The week')}/schedule`],
    ['The wall', () => '/wall'],
  ],
  ['light', 'dark'],
)
