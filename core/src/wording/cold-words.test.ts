import { DEFAULT_COLD_LIMITS } from '../fabrication/index.ts'
import { outWords, overWords } from './index.ts'

const plain = (words: string | null) => words?.replaceAll('\u00a0', ' ') ?? null

test('both limits are said: of this time out, and in all', () => {
  expect(plain(outWords({ boardMinutes: 12.9, outMinutes: 40 }, DEFAULT_COLD_LIMITS))).toBe(
    '12 of 30 min out, 40 of 120 min in all',
  )
})

test('what is over says by how much and what to do, the sum of all times before this one', () => {
  const load = { isOut: true, overBoard: 9.4, overInAll: 0 }
  expect(plain(overWords(load))).toBe('9 min over: back now')
  expect(plain(overWords({ ...load, overInAll: 4 }))).toBe('4 min over in all: back now, and not out again')
  expect([overWords({ ...load, overBoard: 0 }), overWords({ ...load, isOut: false })]).toEqual([null, null])
})
