import { planned as plan } from '../../test/planned.ts'
import { pilesAsExpected, pilesFromReadings, standingReadings } from './readings.ts'

const reading = (id: string, pileId: string, grams: number, takenAt = `2026-01-01T00:00:0${id}Z`) => ({
  id,
  pileId,
  grams,
  takenAt,
})

test('a reading sent twice counts once, and a voided one not at all', () => {
  const readings = [reading('2', 'a', 20), reading('1', 'a', 10), reading('2', 'a', 20), reading('3', 'a', 30)]
  const standing = standingReadings(readings, [{ id: 'v', readingId: '3' }])
  expect(standing.map((each) => each.id)).toEqual(['1', '2'])
})

test('a moved reading lies on the pile it was moved to last, and keeps its place', () => {
  const readings = [reading('1', 'a', 10), reading('2', 'a', 20), reading('3', 'b', 30)]
  const move = (id: string, readingId: string, pileId: string, takenAt: string) => ({ id, readingId, pileId, takenAt })
  const moves = [move('m2', '1', 'c', '2026-01-01T00:00:09Z'), move('m1', '1', 'b', '2026-01-01T00:00:08Z')]
  const standing = standingReadings(readings, [], moves)
  expect(standing.map((each) => [each.id, each.pileId])).toEqual([
    ['1', 'c'],
    ['2', 'a'],
    ['3', 'b'],
  ])
  expect(standingReadings(readings, [{ id: 'v', readingId: '1' }], moves)).toHaveLength(2)
})

test('the order is the same whatever order the readings arrived in', () => {
  const at = '2026-01-01T00:00:00Z'
  const readings = [reading('b', 'a', 2, at), reading('a', 'a', 1, at)]
  expect(standingReadings(readings, [])).toEqual(standingReadings([...readings].reverse(), []))
})

test('pieces stay apart, a pile weighed whole is the sum of its containers', () => {
  const piles = pilesFromReadings(
    [plan('a', { weighing: 'pieces', low: 5 }), plan('b'), plan('c')],
    [reading('1', 'a', 10), reading('2', 'b', 7), reading('3', 'a', 11), reading('4', 'b', 8)],
  )
  expect(piles).toEqual([
    { name: 'a', class: 'primary', pieces: [10, 11], low: 5 },
    { name: 'b', class: 'primary', weight: 15 },
    { name: 'c', class: 'primary', weight: 0 },
  ])
})

test('only piles that nobody has weighed are filled with what the style expects', () => {
  const planned = [plan('a', { expectedShare: 0.25 }), plan('b', { expectedShare: 0.5 }), plan('c')]
  const weighed = pilesFromReadings(planned, [reading('1', 'a', 200)])
  expect(pilesAsExpected(planned, weighed, 1000).map((pile) => pile.weight)).toEqual([200, 500, 0])
})

test('a pile of pieces is filled up to the number expected, at the mean of those weighed', () => {
  const planned = [plan('a', { weighing: 'pieces', portions: 4, expectedShare: 0.4 })]
  const expected = (readings: Parameters<typeof pilesFromReadings>[1]) =>
    pilesAsExpected(planned, pilesFromReadings(planned, readings), 1000)[0]?.pieces
  expect(expected([])).toEqual([100, 100, 100, 100])
  expect(expected([reading('1', 'a', 90), reading('2', 'a', 110)])).toEqual([90, 110, 100, 100])
  expect(expected(['1', '2', '3', '4', '5'].map((id) => reading(id, 'a', 80)))).toHaveLength(5)
})
