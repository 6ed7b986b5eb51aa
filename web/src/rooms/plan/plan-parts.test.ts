import { emptyDraft } from '@fleam/core/planning'
import type { ExpectedLine } from '@fleam/core/plans'
import { arrivedWords } from '../../parts/arrived-words.ts'
import { readDemand } from './demand-csv.ts'
import { againFrom, nextFrom } from './new-draft.ts'
import { heldWords } from './pin-words.ts'

describe('a new plan', () => {
  test('begins after the last one that was accepted, at the earliest tomorrow', () => {
    const accepted = { from: '2026-12-02', days: 7, acceptedAt: '2026-12-01T09:00:00.000Z' }
    expect(nextFrom([], '2026-12-01')).toBe('2026-12-02')
    expect(nextFrom([accepted], '2026-12-01')).toBe('2026-12-09')
    expect(nextFrom([{ ...accepted, acceptedAt: null }], '2026-12-01')).toBe('2026-12-02')
  })

  test('again is the same weekdays, whole weeks later', () => {
    const draft = { ...emptyDraft('2026-12-02'), covers: [{ day: '2026-12-04', covers: 58 }] }
    expect(againFrom(draft, '2026-12-09')).toMatchObject({ from: '2026-12-09', covers: [{ day: '2026-12-11' }] })
    expect(againFrom(draft, '2026-12-11')).toMatchObject({ from: '2026-12-16', covers: [{ day: '2026-12-18' }] })
    expect(againFrom(draft, '2026-11-20').from).toBe('2026-12-09')
  })
})

describe('demand from a list', () => {
  const products = [{ id: 's', name: 'Chicken: supremes' }]
  const days = ['2026-12-03', '2026-12-04']

  test('is read by product, day and portions; a row of headings is left out, twice is together', () => {
    const csv =
      'product;day;portions\nchicken: supremes;3.12.2026;12\nChicken: supremes;2026-12-04;7,5\nChicken: supremes;2026-12-04;2'
    expect(readDemand(csv, products, days)).toEqual({
      lines: [
        { productId: 's', day: '2026-12-03', quantity: 12 },
        { productId: 's', day: '2026-12-04', quantity: 9.5 },
      ],
      issues: [],
    })
  })

  test('with anything wrong nothing is taken, and each is told by its row and column', () => {
    const read = readDemand(
      'Goose;2026-12-03;4\nChicken: supremes;soon;4\nChicken: supremes;2026-12-09;x',
      products,
      days,
    )
    expect(read.lines).toEqual([])
    expect(read.issues.map(({ row, column }) => [row, column])).toEqual([
      [1, 'product'],
      [2, 'day'],
      [3, 'day'],
      [3, 'portions'],
    ])
  })
})

test('what is held is said as it is held', () => {
  const held = (atLeast: number | null, atMost: number | null) => heldWords({ atLeast, atMost }, 'packs')
  expect([held(null, 0), held(6, null), held(null, 3)]).toEqual(['none', 'at least 6 packs', 'at most 3 packs'])
  expect(heldWords(undefined, 'packs')).toBeNull()
})

describe('what came of a line', () => {
  const line = { kind: 'whole', packs: 2, units: 12, arrived: null, lots: [] } as unknown as ExpectedLine
  const lot = (pieces: number | null) => ({ id: 'l', code: null, pieces })

  test('pieces of its lots are checked against it, short ones told', () => {
    expect(arrivedWords(line)).toMatchObject({ words: 'not here yet', isAll: false })
    expect(arrivedWords({ ...line, lots: [lot(11)] })).toEqual({ words: '1 of 12 short', isShort: true, isAll: false })
    expect(arrivedWords({ ...line, lots: [lot(6), lot(6)] })).toMatchObject({ isAll: true, isShort: false })
    expect(arrivedWords({ ...line, lots: [lot(null)] }).words).toBe('came, in pieces that nobody counted')
  })

  test('packs of what is bought ready are what was said at the door', () => {
    const ready = { ...line, kind: 'ready' as const }
    expect(arrivedWords({ ...ready, arrived: 1 })).toMatchObject({ words: '1 of 2 packs short', isShort: true })
    expect(arrivedWords({ ...ready, arrived: 2 })).toMatchObject({ isAll: true })
  })
})
