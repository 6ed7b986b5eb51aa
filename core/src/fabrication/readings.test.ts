import { reading } from '../../test/facts.ts'
import { planned as plan } from '../../test/planned.ts'
import { pilesAsExpected, pilesFromReadings } from './readings.ts'

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
