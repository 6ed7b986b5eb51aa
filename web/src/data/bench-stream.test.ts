import type { FabricationNews, FabricationState } from '@fleam/contract'
import { QueryClient } from '@tanstack/react-query'
import { takeNews, withNews } from './bench-stream.ts'

const reading = (id: string) => ({ id, pileId: 'p', grams: 281, takenAt: '', source: 'scale' as const, cook: null })
const STATE = {
  record: { id: 'f', version: 2 },
  readings: [reading('1')],
  voids: [],
  moves: [],
  marks: [],
} as unknown as FabricationState
const news = (changes: Partial<FabricationNews>): FabricationNews => ({
  readings: [],
  voids: [],
  moves: [],
  marks: [],
  version: 2,
  ...changes,
})

test('news adds what is not there yet, however often it comes', () => {
  const state = withNews(STATE, news({ readings: [reading('1'), reading('2')] }))
  expect(state.readings.map((each) => each.id)).toEqual(['1', '2'])
  const again = withNews(state, news({ readings: [reading('2')] }))
  expect(again.readings).toBe(state.readings)
})

test('the whole is asked for where some may be missing or the record was changed, and not otherwise', () => {
  const key = ['f']
  const asked = (heard: FabricationNews | null) => {
    const queries = new QueryClient()
    queries.setQueryData(key, STATE)
    takeNews(queries, key, heard)
    return queries.getQueryState(key)?.isInvalidated
  }
  expect(asked(news({ readings: [reading('2')] }))).toBe(false)
  expect(asked(news({ version: 3 }))).toBe(true)
  expect(asked(null)).toBe(true)
})

test('news of a bench that this page has not fetched is left', () => {
  const queries = new QueryClient()
  takeNews(queries, ['g'], news({ readings: [reading('2')] }))
  expect(queries.getQueryData(['g'])).toBeUndefined()
})
