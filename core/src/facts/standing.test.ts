import fc from 'fast-check'
import { count, factVoid, mark, move, reading } from '../../test/facts.ts'
import { LAST_ORDER } from '../limits/index.ts'
import {
  type Fact,
  factsInForce,
  type MeasuredCut,
  nextOrder,
  standingCuts,
  standingMarks,
  standingReadings,
} from './index.ts'

test('a reading sent twice counts once, and a voided one not at all', () => {
  const facts = [reading('2', 'a', 20), reading('1', 'a', 10), reading('2', 'a', 20), reading('3', 'a', 30)]
  const standing = standingReadings([...facts, factVoid('v', '3')])
  expect(standing.map((reading) => reading.id)).toEqual(['1', '2'])
})

test('a moved reading lies on the pile it was moved to last, and keeps its place', () => {
  const facts: Fact[] = [reading('1', 'a', 10), reading('2', 'a', 20), reading('3', 'b', 30)]
  const moves = [move('m2', '1', 'c', 9), move('m1', '1', 'b', 8)]
  expect(
    standingReadings([...facts, ...moves]).map((standingReading) => [standingReading.id, standingReading.pileId]),
  ).toEqual([
    ['1', 'c'],
    ['2', 'a'],
    ['3', 'b'],
  ])
  expect(standingReadings([...facts, ...moves, factVoid('v', '1')])).toHaveLength(2)
  // A move that is taken back leaves the reading where it was before.
  expect(standingReadings([...facts, ...moves, factVoid('v', 'm2')])[0]?.pileId).toBe('b')
})

test('what was taken back can be taken back itself, as often as one likes', () => {
  const facts: Fact[] = [reading('1', 'a', 10), factVoid('v1', '1', 2), factVoid('v2', 'v1', 3)]
  expect(standingReadings(facts.slice(0, 2))).toEqual([])
  expect(standingReadings(facts)).toHaveLength(1)
  const again = factVoid('v3', 'v2', 4)
  expect(standingReadings([...facts, again])).toEqual([])
  expect(factsInForce([...facts, again]).map(({ id }) => id)).toEqual(['v1', 'v3'])
  expect(standingReadings([again, ...facts].reverse())).toEqual([])
})

test('a reading is of as many pieces as were said last', () => {
  const facts: Fact[] = [reading('1', 'a', 1600), reading('2', 'a', 280)]
  const counts = [count('c1', '1', 5, 8), count('c2', '1', 6, 9)]
  expect(standingReadings([...facts, ...counts]).map((standingReading) => standingReading.pieces)).toEqual([6, null])
  expect(standingReadings([...facts, ...counts, factVoid('v', 'c2')])[0]?.pieces).toBe(5)
})

test('what is said last holds, though its device’s clock is hours behind', () => {
  const late = { takenAt: '2026-11-24T11:00:00.000Z' }
  const early = { takenAt: '2026-11-24T05:00:00.000Z' }
  const moves = [
    { ...move('m1', '1', 'b', 2), ...late },
    { ...move('m2', '1', 'c', 3), ...early },
  ]
  expect(standingReadings([reading('1', 'a', 10, late), ...moves])[0]?.pileId).toBe('c')
  const readings = [reading('x', 'a', 1, { order: 1, ...late }), reading('y', 'a', 2, { order: 2, ...early })]
  expect(standingReadings(readings).map((standingReading) => standingReading.id)).toEqual(['x', 'y'])
})

test('every device derives the same list, whatever order and however often the facts arrived', () => {
  const ids = fc.constantFrom('1', '2', '3', '4', '5', '6')
  const fact = fc.oneof(
    fc.tuple(ids, fc.integer({ min: 1, max: 5 })).map(([id, order]): Fact => reading(id, 'a', 10, { order })),
    fc.tuple(ids, fc.integer({ min: 1, max: 5 })).map(([id, order]): Fact => factVoid(`v${id}${order}`, id, order)),
    fc.tuple(ids, fc.integer({ min: 1, max: 5 })).map(([id, order]): Fact => move(`m${id}${order}`, id, 'b', order)),
  )
  const once = fc.uniqueArray(fact, { selector: (entry) => entry.id, maxLength: 20 })
  fc.assert(
    fc.property(once, fc.integer(), (facts, seed) => {
      const shuffled = [...facts, ...facts].sort((a, b) => ((a.order * 31 + a.id.length * seed) % 7) - (b.order % 5))
      expect(standingReadings(shuffled)).toEqual(standingReadings(facts))
    }),
    { seed: 5, numRuns: 200 },
  )
})

test('the next fact of a device comes after all that it knows', () => {
  expect(nextOrder([])).toBe(1)
  expect(nextOrder([reading('1', 'a', 1, { order: 7 }), mark('m', 'cold-in', 3)])).toBe(8)
  // A device that is out of its mind does not take the last place from the others.
  expect(nextOrder([reading('1', 'a', 1, { order: LAST_ORDER })])).toBe(LAST_ORDER)
})

test('marks stand in the order of the work', () => {
  const marks = [mark('b', 'cold-in', 2), mark('a', 'cold-out', 1), reading('1', 'a', 1)]
  expect(standingMarks(marks).map((standingMark) => standingMark.mark)).toEqual(['cold-out', 'cold-in'])
})

test('a measured cut tells nothing once it, or the weighing of it, was taken back', () => {
  const cut = (id: string, readingId: string | null): MeasuredCut => ({
    kind: 'measured-cut',
    id,
    order: 1,
    takenAt: '2026-11-24T08:00:00.000Z',
    fabricationId: null,
    readingId,
    way: 'template',
    shape: 'tenderloin',
    planned: 210,
    weighed: 207,
  })
  const facts: Fact[] = [cut('c1', null), cut('c2', 'r'), cut('c3', null)]
  expect(standingCuts(facts).map((standingCut) => standingCut.id)).toEqual(['c1', 'c2', 'c3'])
  expect(
    standingCuts([...facts, factVoid('v', 'r'), factVoid('w', 'c3')]).map((standingCut) => standingCut.id),
  ).toEqual(['c1'])
})
