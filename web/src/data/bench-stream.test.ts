import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { FabricationNews } from '@fleam/contract/facts/schemas'
import { QueryClient } from '@tanstack/react-query'
import { reading } from '../../../core/test/facts.ts'
import { takeNews, withNews } from './bench-stream.ts'

const weighed = (id: string) => reading(id, 'p', 281)
const STATE = { record: { id: 'f', version: 2 }, facts: [weighed('1')] } as unknown as FabricationState
const news = (changes: Partial<FabricationNews>): FabricationNews => ({ facts: [], version: 2, ...changes })

test('news adds what is not there yet, however often it comes', () => {
  const state = withNews(STATE, news({ facts: [weighed('1'), weighed('2')] }))
  expect(state.facts.map((fact) => fact.id)).toEqual(['1', '2'])
  const again = withNews(state, news({ facts: [weighed('2')] }))
  expect(again).toBe(state)
})

test('the whole is asked for where some may be missing or the record was changed, and not otherwise', () => {
  const key = ['f']
  const asked = (heard: FabricationNews | null) => {
    const queries = new QueryClient()
    queries.setQueryData(key, STATE)
    takeNews(queries, key, heard)
    return queries.getQueryState(key)?.isInvalidated
  }
  expect(asked(news({ facts: [weighed('2')] }))).toBe(false)
  expect(asked(news({ version: 3 }))).toBe(true)
  expect(asked(null)).toBe(true)
})

test('news of a bench that this page has not fetched is left', () => {
  const queries = new QueryClient()
  takeNews(queries, ['g'], news({ facts: [weighed('2')] }))
  expect(queries.getQueryData(['g'])).toBeUndefined()
})
