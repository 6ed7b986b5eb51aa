import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { SIX_BIRDS } from '../../../../../core/test/planned.ts'
import type { StandingReading } from '../../../outbox/merge.ts'
import { afterOneMore, firstStep, progressOf, stepAfter, stepOfPile, wantedFrom } from './progress.ts'

const STEPS = [
  { id: 'dry', pileIds: [] },
  { id: 'legs', pileIds: [] },
  { id: 'divide', pileIds: ['drumsticks'] },
  { id: 'thighs', pileIds: ['thighs'] },
  { id: 'breasts', pileIds: ['supremes'] },
  { id: 'carcass', pileIds: ['bones', 'bin'] },
]
const record = (units: number) => {
  const piles = SIX_BIRDS.piles.map((pile) => ({ ...pile, portions: pile.portions === null ? null : 2 * units }))
  return { piles, steps: STEPS, units, rhythm: 'unit' } as unknown as FabricationRecord
}
const standing = (...piles: string[]) =>
  piles.map((pileId, index) => ({ id: String(index), pileId }) as StandingReading)
const pile = (name: string, units = 1) => record(units).piles.find((pile) => pile.name === name) as never

test('counts weighings by pile, and finds the step of a pile', () => {
  const progress = progressOf(record(1), standing('supremes', 'supremes', 'bin'))
  expect([...progress.counts]).toEqual([
    ['supremes', 2],
    ['bin', 1],
  ])
  expect(afterOneMore(progress, 'bin').counts.get('bin')).toBe(2)
  expect(progress.counts.get('bin')).toBe(1)
  expect([stepOfPile(record(1), pile('bin')), stepOfPile(record(1), null)]).toEqual([5, -1])
})

test('begins at the first step, and goes on where the next pile leaves the board', () => {
  const first = (...weighed: string[]) =>
    firstStep(record(1), progressOf(record(1), standing(...weighed)), weighed.at(-1) ?? null)
  expect(first()).toBe(0)
  expect(first('drumsticks', 'drumsticks')).toBe(3)
})

test('a step stays while its piles want more, and steps without a pile are not passed over', () => {
  const after = (weighed: string[], taken: string, units = 1) =>
    stepAfter(record(units), progressOf(record(units), standing(...weighed)), pile(taken, units))
  expect(after([], 'drumsticks')).toBe(2)
  expect(after(['drumsticks'], 'drumsticks')).toBe(3)
  expect(after(['drumsticks', 'drumsticks', 'thighs', 'supremes'], 'supremes')).toBe(5)
  expect(after(['drumsticks', 'drumsticks', 'thighs', 'supremes', 'supremes'], 'bones')).toBe(5)
})

test('the next bird begins at the first step; after the last, what is weighed whole follows', () => {
  const two = record(2)
  const progress = (...weighed: string[]) => progressOf(two, standing(...weighed))
  const first = ['drumsticks', 'drumsticks', 'supremes']
  expect(stepAfter(two, progress(...first), pile('supremes', 2))).toBe(0)
  const last = [...first, 'supremes', 'drumsticks', 'drumsticks', 'supremes']
  expect(stepAfter(two, progress(...last), pile('supremes', 2))).toBe(5)
})

test('a step without a pile of its own leads to the next one that is wanted', () => {
  const wanted = (at: number, ...weighed: string[]) =>
    wantedFrom(record(1), progressOf(record(1), standing(...weighed)), at)?.name
  expect(wanted(0)).toBe('drumsticks')
  expect(wanted(3, 'thighs')).toBe('supremes')
  expect(wanted(5, 'bones', 'bin')).toBeUndefined()
})
