import { type DoubtRecord, doubtsOf } from './doubts.ts'

const record = (at: number, changes: Partial<DoubtRecord> = {}): DoubtRecord => ({
  id: String(at),
  day: `2026-11-${String((at % 28) + 1).padStart(2, '0')}`,
  item: 'chicken',
  style: 'supremes',
  cook: 'marit',
  ap: 12_000 + at * 20,
  portionYield: 0.4 + ((at * 37) % 11) / 1000,
  minutesPerUnit: 9 + ((at * 13) % 5) / 10,
  pricePerKg: 3 + ((at * 7) % 4) / 20,
  balance: 'ok',
  isSettled: false,
  ...changes,
})
const sound = Array.from({ length: 20 }, (_, at) => record(at))

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
] as const)('%s is', (_what, changes, doubt) => {
  expect(doubtsOf([...sound, record(99, changes as Partial<DoubtRecord>)])).toEqual([
    expect.objectContaining({ id: '99', ...doubt }),
  ])
})

test('what somebody has settled is not doubted for its balance', () => {
  expect(doubtsOf([...sound, record(99, { balance: 'over', isSettled: true })])).toEqual([])
})

test('a price that doubled is no slipped digit, and few records tell nothing', () => {
  expect(doubtsOf([...sound, record(99, { pricePerKg: 6 })])).toEqual([])
  expect(doubtsOf([record(1, { portionYield: 0.9 }), record(2), record(3, { minutesPerUnit: 1 })])).toEqual([])
})
