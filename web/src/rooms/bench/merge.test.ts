import type { FabricationState, KeptReading } from '@fleam/contract'
import type { OutboxEntry } from '../../outbox/store.ts'
import { merge } from './merge.ts'

const reading = (id: string): KeptReading => ({
  id,
  pileId: 'p',
  grams: 281,
  takenAt: `2026-11-24T08:00:0${id}.000Z`,
  source: 'scale',
  cook: null,
})
const entry = (id: string): OutboxEntry => ({
  kitchenId: 'k',
  fabricationId: 'f',
  kind: 'reading',
  id,
  reading: reading(id),
})
const state = (...readings: KeptReading[]) =>
  ({ record: { id: 'f' }, readings, voids: [], moves: [], marks: [] }) as unknown as FabricationState

test('a reading stands once while it moves from this device to the server', () => {
  const stages = [
    merge(state(), [entry('1')], []),
    merge(state(), [], [entry('1')]),
    merge(state(reading('1')), [], [entry('1')]),
    merge(state(reading('1')), [entry('1')], []),
  ]
  expect(stages.map((each) => each.standing.length)).toEqual([1, 1, 1, 1])
  expect(stages.map((each) => each.standing[0]?.isKeptHere)).toEqual([true, false, false, true])
})

test('entries of other fabrications are left out, and withdrawals count before the server has them', () => {
  const other = { ...entry('2'), fabricationId: 'g' }
  const withdrawal: OutboxEntry = {
    kitchenId: 'k',
    fabricationId: 'f',
    kind: 'void',
    id: 'v',
    void: { id: 'v', readingId: '1', takenAt: '2026-11-24T08:00:09.000Z' },
  }
  expect(merge(state(reading('1')), [other, withdrawal], []).standing).toEqual([])
})

test('moves and clocks of this device count before the server has them', () => {
  const move = { id: 'm', readingId: '1', pileId: 'q', takenAt: '2026-11-24T08:00:09.000Z' }
  const mark = { id: 'c', kind: 'cold-in' as const, cook: null, ratePerHour: null, step: null, takenAt: move.takenAt }
  const place = { kitchenId: 'k', fabricationId: 'f' }
  const waiting: OutboxEntry[] = [
    { ...place, kind: 'move', id: 'm', move },
    { ...place, kind: 'mark', id: 'c', mark },
  ]
  const merged = merge(state(reading('1')), waiting, [entry('2')])
  expect(merged.standing.map((each) => [each.id, each.pileId, each.isMine])).toEqual([
    ['1', 'q', false],
    ['2', 'p', true],
  ])
  expect(merged.marks).toEqual([mark])
})
