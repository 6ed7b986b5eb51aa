import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { MeasuredCut } from '@fleam/core/facts'
import { v7 as newId } from 'uuid'
import {
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const known = async (owner = kitchen.id): Promise<MeasuredCut[]> =>
  (await send(test_, 'GET', `/api/kitchens/${owner}/measured-cuts`)).body

beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

const cut = (changes: Partial<MeasuredCut> = {}): MeasuredCut => ({
  kind: 'measured-cut',
  id: newId(),
  order: 1,
  takenAt: '2026-11-25T09:00:00.000Z',
  fabricationId: null,
  readingId: null,
  way: 'template',
  shape: 'tenderloin',
  planned: 215.25,
  weighed: 221,
  ...changes,
})
const keep = (...facts: unknown[]) => sendFacts(test_, kitchen, ...facts)
const takeBack = (factId: string, fabricationId: string | null = null) =>
  keep({ kind: 'void', id: newId(), order: 9, takenAt: '2026-11-25T10:00:00.000Z', fabricationId, factId })

test('portions are known to the whole kitchen, newest first; sent twice there is one', async () => {
  const [first, second] = [cut(), cut({ order: 2, weighed: 208 })]
  await keep(first)
  await keep(second)
  await keep(first)
  expect(await known()).toEqual([second, first])
})

test('a portion that was taken back tells nothing, and one whose weighing was taken back neither', async () => {
  const wrong = cut()
  const { record }: FabricationState = await startSixChickens(test_, kitchen)
  const reading = weighing(record.id, record.piles[0]?.id as string, 281)
  const atBench = cut({ order: 2, fabricationId: record.id, readingId: reading.id })
  await keep(wrong)
  await keep(reading, atBench)
  await takeBack(wrong.id)
  expect(await known()).toEqual([atBench])
  await takeBack(reading.id, record.id)
  expect(await known()).toEqual([])
})

test('only the latest portions of each way and shape count', async () => {
  await keep(...Array.from({ length: 83 }, (_, index) => cut({ order: index + 1, planned: 100 + index })))
  await keep(cut({ way: 'girths' }))
  const cuts = await known()
  const templates = cuts.filter(({ way }) => way === 'template')
  expect(templates).toHaveLength(80)
  expect(cuts.filter(({ way }) => way === 'girths')).toHaveLength(1)
  expect(Math.min(...templates.map(({ planned }) => planned))).toBe(103)
})

test('what cannot be is refused with its field', async () => {
  const refused = await keep(cut({ weighed: 0 }))
  expect([refused.status, refused.body.issues[0].path]).toEqual([400, 'facts[0].weighed'])
})

test('another kitchen learns nothing from it, and its id stands for nothing there', async () => {
  const mine = cut()
  await keep(mine)
  const stranger = await setUpKitchen(test_, 'Stranger')
  expect(await known(stranger.id)).toEqual([])
  const theirs = { ...mine, weighed: 9 }
  expect((await sendFacts(test_, stranger, theirs)).status).toBe(200)
  expect([await known(), await known(stranger.id)]).toEqual([[mine], [theirs]])
  expect((await send(test_, 'GET', `/api/kitchens/${newId()}/measured-cuts`)).status).toBe(404)
})
