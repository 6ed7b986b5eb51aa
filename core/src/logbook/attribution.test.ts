import { type Attributed, attributionsOf } from './attribution.ts'
import { movedPiles } from './moved-piles.ts'

const records = (cook: string, supplier: string, value: number, count = 3): Attributed[] =>
  Array.from({ length: count }, () => ({ cook, supplier, value }))

test('a new supplier whose birds give less, while the same cooks hold theirs on the old ones', () => {
  const before = [...records('marit', 'old', 0.42), ...records('ondine', 'old', 0.42)]
  const recent = [...records('marit', 'old', 0.42), ...records('ondine', 'new', 0.38), ...records('marit', 'new', 0.38)]
  expect(attributionsOf(recent, before, -0.027)).toEqual([
    { of: 'supplier', kind: 'one', moved: ['new'], held: ['old'] },
    { of: 'cook', kind: 'all', moved: ['marit', 'ondine'], held: [] },
  ])
})

test('one cook alone; and records that do not tell', () => {
  const before = [...records('marit', 'old', 0.42), ...records('ondine', 'old', 0.42)]
  expect(attributionsOf([...records('marit', 'old', 0.42), ...records('ondine', 'old', 0.38)], before, -0.02)).toEqual([
    { of: 'cook', kind: 'one', moved: ['ondine'], held: ['marit'] },
  ])
  const one = records('marit', 'old', 0.38, 1)
  expect(attributionsOf(one, before, -0.04)).toEqual([])
  // One record of each is enough to say that it is none of them.
  expect(attributionsOf([...one, ...records('ondine', 'old', 0.38, 1)], before, -0.04)).toEqual([
    { of: 'cook', kind: 'all', moved: ['marit', 'ondine'], held: [] },
  ])
})

test('piles that moved come with how far, what moved most first; another pile is no move', () => {
  const pile = (key: string, share: number) => ({ key, name: key, share })
  expect(
    movedPiles(
      [pile('portions', 0.38), pile('trim', 0.12), pile('portions', 0.4), pile('skin', 0.02)],
      [pile('portions', 0.42), pile('trim', 0.1)],
    ),
  ).toEqual([
    { key: 'portions', name: 'portions', difference: expect.closeTo(-0.03, 12) },
    { key: 'trim', name: 'trim', difference: expect.closeTo(0.02, 12) },
  ])
})
