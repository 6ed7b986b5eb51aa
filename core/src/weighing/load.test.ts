import { type PlateReading, stillTaken, viewOf } from './load.ts'

const shown = (grams: number, state: PlateReading['state'] = 'stable'): PlateReading => ({ grams, state })

test('a settled new load is ready, a moving one is not', () => {
  expect(viewOf(shown(281), null)).toEqual({ kind: 'ready', grams: 281, isAdded: false })
  expect(viewOf(shown(200, 'moving'), null)).toEqual({ kind: 'moving', grams: 200 })
})

test('the same load is never taken twice, drift and all', () => {
  expect(viewOf(shown(281), 281).kind).toBe('taken')
  expect(viewOf(shown(282), 281).kind).toBe('taken')
})

test('of what is put beside a taken load, only that counts', () => {
  const taken = stillTaken(shown(560), 281)
  expect(viewOf(shown(560), taken)).toEqual({ kind: 'ready', grams: 279, isAdded: true })
})

test('what is left after some was lifted off has been taken already', () => {
  const taken = stillTaken(shown(281), 560)
  expect(taken).toBe(281)
  expect(viewOf(shown(281), taken).kind).toBe('taken')
  expect(viewOf(shown(530), taken)).toEqual({ kind: 'ready', grams: 249, isAdded: true })
})

test('a known container is taken off, and by itself it is nothing', () => {
  expect(viewOf(shown(2340), null, 640)).toEqual({ kind: 'ready', grams: 1700, isAdded: false })
  expect(viewOf(shown(640), null, 640)).toEqual({ kind: 'empty' })
  expect(viewOf(shown(2600), 2340, 640)).toEqual({ kind: 'ready', grams: 260, isAdded: true })
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
