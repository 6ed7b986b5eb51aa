import { standingCuts } from '@fleam/core/facts'
import { factsOfOldCuts, type OldWaitingCut, oldCutsIn } from './old-entries.ts'

const NOW = '2026-11-25T09:00:00.000Z'
const ID = '019b76da-a8f2-7000-8003-cbb2874dc7a'
const weighed = (at: number, grams = 212): OldWaitingCut => ({
  kind: 'weighed',
  cut: {
    id: `${ID}${at}`,
    way: 'girths',
    shape: 'tenderloin',
    planned: 210.00049,
    weighed: grams,
    takenAt: '2026-11-24T08:00:00.000Z',
  },
})
const takenBack = (at: number): OldWaitingCut => ({ kind: 'taken-back', id: `${ID}${at}` })

test('portions that waited become facts, in whole milligrams, in their order and at their time', () => {
  const facts = factsOfOldCuts([weighed(1, 1000.7 - 640.3), weighed(2)], NOW)
  expect(facts).toMatchObject([
    { kind: 'measured-cut', planned: 210, weighed: 360.4, way: 'girths', takenAt: '2026-11-24T08:00:00.000Z' },
    { kind: 'measured-cut', weighed: 212 },
  ])
  expect(facts[1]?.order).toBeGreaterThan(facts[0]?.order as number)
})

test('carried over twice, each is there once', () => {
  const [once, twice] = [factsOfOldCuts([weighed(1)], NOW), factsOfOldCuts([weighed(1)], NOW)]
  expect(twice).toEqual(once)
  expect(standingCuts([...once, ...twice])).toHaveLength(1)
})

test('an id is not that of the weighing: the server has a fact of it already', () => {
  expect(factsOfOldCuts([weighed(1)], NOW)[0]?.id).not.toBe(`${ID}1`)
})

test('what was taken back while it waited tells nothing', () => {
  expect(factsOfOldCuts([weighed(1), takenBack(1), weighed(2)], NOW)).toHaveLength(1)
})

test('one that the server had before is taken back there', () => {
  expect(factsOfOldCuts([takenBack(3)], NOW)).toMatchObject([
    { kind: 'void', factId: `${ID}3`, fabricationId: null, takenAt: NOW },
  ])
})

test.each([
  ['nothing', null],
  ['half a text', '[{"kind":'],
  ['no list', '{"kind":"weighed"}'],
  [
    'a list of something else',
    JSON.stringify([null, 7, { kind: 'other' }, { kind: 'weighed' }, { kind: 'taken-back', id: 'x' }]),
  ],
])('%s is no portion', (_what, text) => {
  expect(oldCutsIn(text)).toEqual([])
})

test('what is whole is read', () => {
  expect(oldCutsIn(JSON.stringify([weighed(1), takenBack(2)]))).toEqual([weighed(1), takenBack(2)])
})
