import type { ScaleReading } from '@fleam/contract'
import { stillTaken, viewOf } from './take.ts'

const shown = (grams: number, state: ScaleReading['state'] = 'stable'): ScaleReading => ({
  grams,
  state,
  tareGrams: 0,
  device: 'bench',
  simulated: true,
})

test('a settled new load is ready, a moving one is not', () => {
  expect(viewOf(shown(281), null)).toEqual({ kind: 'ready', grams: 281 })
  expect(viewOf(shown(200, 'moving'), null)).toEqual({ kind: 'moving', grams: 200 })
})

test('the same load is never taken twice, drift and all', () => {
  expect(viewOf(shown(281), 281).kind).toBe('taken')
  expect(viewOf(shown(282), 281).kind).toBe('taken')
})

test('another piece on top of a taken one, or in its place, is ready', () => {
  const taken = stillTaken(shown(560), 281)
  expect(viewOf(shown(560), taken)).toEqual({ kind: 'ready', grams: 560 })
})

test('an empty plate forgets what was taken, a moving one does not', () => {
  expect(stillTaken(shown(0), 281)).toBeNull()
  expect(stillTaken(shown(-300, 'under'), 281)).toBeNull()
  expect(stillTaken(shown(150, 'moving'), 281)).toBe(281)
  expect(stillTaken(null, 281)).toBe(281)
})

test('an empty, missing or overloaded scale gives nothing to take', () => {
  expect(viewOf(null, null)).toEqual({ kind: 'away' })
  expect(viewOf(shown(1), null)).toEqual({ kind: 'empty' })
  expect(viewOf(shown(-40), null)).toEqual({ kind: 'empty' })
  expect(viewOf(shown(20000, 'over'), null)).toEqual({ kind: 'out-of-range', state: 'over' })
})
