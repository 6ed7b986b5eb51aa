import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { type Fact, standingMarks } from '@fleam/core/facts'
import { factVoid, mark, move, reading } from '../../../core/test/facts.ts'
import type { OutboxEntry } from './entry.ts'
import { merge } from './merge.ts'

const weighed = (id: string) => reading(id, 'p', 281)
const entry = (fact: Fact): OutboxEntry => ({ kitchenId: 'k', id: fact.id, fact })
const state = (...facts: Fact[]) => ({ record: { id: 'f' }, facts }) as unknown as FabricationState

test('a reading stands once while it moves from this device to the server', () => {
  const one = entry(weighed('1'))
  const stages = [
    merge(state(), [one], []),
    merge(state(), [], [one]),
    merge(state(weighed('1')), [], [one]),
    merge(state(weighed('1')), [one], []),
  ]
  expect(stages.map((stage) => stage.standing.length)).toEqual([1, 1, 1, 1])
  expect(stages.map((stage) => stage.standing[0]?.isKeptHere)).toEqual([true, false, false, true])
})

test('entries of other fabrications are left out, and withdrawals count before the server has them', () => {
  const other = entry({ ...weighed('2'), fabricationId: 'g' })
  expect(merge(state(weighed('1')), [other, entry(factVoid('v', '1'))], []).standing).toEqual([])
})

test('moves and clocks of this device count before the server has them', () => {
  const cold = mark('c', 'cold-in', 10)
  const waiting = [entry(move('m', '1', 'q', 9)), entry(cold)]
  const merged = merge(state(weighed('1')), waiting, [entry(weighed('2'))])
  expect(merged.standing.map((reading) => [reading.id, reading.pileId, reading.isMine])).toEqual([
    ['1', 'q', false],
    ['2', 'p', true],
  ])
  expect(standingMarks(merged.facts)).toEqual([cold])
})
