import type { Fact, Reading } from '../../facts/index.ts'
import { type DoubtPile, type DoubtRecord, doubtsOf, takenTwice } from './index.ts'

const record = (at: number, changes: Partial<DoubtRecord> = {}): DoubtRecord => ({
  id: String(at),
  day: `2026-11-${String((at % 28) + 1).padStart(2, '0')}`,
  item: 'chicken',
  style: 'supremes',
  cook: 'marit',
  ap: 12_000 + at * 20,
  unitWeight: 2_000 + at * 3,
  portionYield: 0.4 + ((at * 37) % 11) / 1000,
  minutesPerUnit: 9 + ((at * 13) % 5) / 10,
  pricePerKg: 3 + ((at * 7) % 4) / 20,
  balance: 'ok',
  isSettled: false,
  settled: [],
  piles: [
    pile('supremes', 0.4 + ((at * 37) % 11) / 1000, 270 + ((at * 7) % 9)),
    pile('bones', 0.3 + ((at * 17) % 7) / 1000),
    pile('fat', 0.05 + ((at * 23) % 5) / 1000),
  ],
  twice: [],
  ...changes,
})
function pile(name: string, share: number, piece: number | null = null): DoubtPile {
  return {
    key: name,
    name,
    share,
    pieces: piece === null ? 0 : 12,
    middlePiece: piece,
    lightestPiece: piece === null ? null : piece - 12,
  }
}
/** The piles of a sound record, some of them otherwise. */
const but = (...changed: DoubtPile[]) =>
  record(99).piles.map((doubtPile) => changed.find(({ name }) => name === doubtPile.name) ?? doubtPile)
const sound = Array.from({ length: 20 }, (_, index) => record(index))

test('sound records are not doubted', () => {
  expect(doubtsOf(sound)).toEqual([])
  expect(doubtsOf([])).toEqual([])
})

test.each([
  ['a pile that is missing', { balance: 'lost' }, { kind: 'balance', balance: 'lost' }],
  ['the same record again', { day: sound[3]?.day, ap: sound[3]?.ap }, { kind: 'double', of: '3' }],
  ['a clock that was forgotten', { minutesPerUnit: 1.5 }, { kind: 'minutes' }],
  ['a slipped digit', { pricePerKg: 31 }, { kind: 'price', factor: 10 }],
  ['a price a pound', { pricePerKg: 3.1 * 0.45359237 }, { kind: 'price', factor: 0.45359237 }],
  ['a yield of another world', { portionYield: 0.55 }, { kind: 'yield' }],
  ['one that weighs pounds', { unitWeight: 2_050 * 2.2046 }, { kind: 'weight', factor: 1 / 0.45359237 }],
  ['a weighing twice', { twice: [{ pile: 'fat', grams: 40, seconds: 0.5 }] }, { kind: 'twice', pile: 'fat' }],
  ['a pile of another size', { piles: but(pile('bones', 0.2)) }, { kind: 'pile', pile: 'bones', factor: null }],
  ['a pile in pounds', { piles: but(pile('bones', 0.66)) }, { kind: 'pile', factor: 1 / 0.45359237 }],
  [
    'a pile emptied into another',
    { piles: but(pile('fat', 0), pile('bones', 0.353)) },
    { kind: 'emptied', pile: 'fat', into: 'bones' },
  ],
  [
    'a container left on',
    { piles: but(pile('supremes', 0.5, 274 + 180)) },
    { kind: 'container', pile: 'supremes', container: 'tray' },
  ],
] as const)('%s is', (_what, changes, doubt) => {
  expect(doubtsOf([...sound, record(99, changes as Partial<DoubtRecord>)], [{ name: 'tray', grams: 180 }])).toEqual([
    expect.objectContaining({ id: '99', ...doubt }),
  ])
})

test('what somebody has settled is not doubted for its balance', () => {
  expect(doubtsOf([...sound, record(99, { balance: 'over', isSettled: true })])).toEqual([])
})

test('what somebody stands by is not doubted again, but for something else it is', () => {
  const odd = (settled: DoubtRecord['settled']) =>
    doubtsOf([...sound, record(99, { pricePerKg: 31, minutesPerUnit: 1.5, settled })]).map(({ kind }) => kind)
  expect(odd([])).toEqual(['minutes', 'price'])
  expect(odd(['price'])).toEqual(['minutes'])
})

test('a price that doubled is no slipped digit, and few records tell nothing', () => {
  expect(doubtsOf([...sound, record(99, { pricePerKg: 6 })])).toEqual([])
  expect(doubtsOf([record(1, { portionYield: 0.9 }), record(2), record(3, { minutesPerUnit: 1 })])).toEqual([])
})

test('where the weights do not add up a pile is doubted only with a reason', () => {
  const lost = (bones: number) => record(99, { balance: 'lost', piles: but(pile('bones', bones)) })
  expect(doubtsOf([...sound, lost(0.1)]).map(({ kind }) => kind)).toEqual(['balance'])
  expect(doubtsOf([...sound, lost(0.3 / 2.2046)]).map(({ kind }) => kind)).toEqual(['pile'])
})

test('the same weight on the same pile within two seconds was taken twice, unless it was taken back', () => {
  const reading = (id: string, order: number, second: number, changes: Partial<Reading> = {}): Reading => ({
    kind: 'reading',
    id,
    order,
    fabricationId: 'f',
    takenAt: `2026-11-01T10:00:${String(second).padStart(2, '0')}.500Z`,
    pileId: 'p',
    grams: 274,
    source: 'scale',
    cookId: null,
    pieces: 1,
    ...changes,
  })
  const piles = [{ id: 'p', name: 'supremes' }]
  const facts: Fact[] = [reading('a', 1, 1), reading('b', 2, 2), reading('c', 3, 5), reading('d', 4, 6, { grams: 270 })]
  expect(takenTwice(facts, piles)).toEqual([{ pile: 'supremes', grams: 274, seconds: 1 }])
  const taken = { kind: 'void', id: 'v', order: 5, takenAt: facts[0]?.takenAt ?? '', fabricationId: 'f' } as const
  expect(takenTwice([...facts, { ...taken, factId: 'b' }], piles)).toEqual([])
  expect(
    takenTwice(
      facts.map((fact) => ({ ...fact, source: 'imported' }) as Fact),
      piles,
    ),
  ).toEqual([])
})
