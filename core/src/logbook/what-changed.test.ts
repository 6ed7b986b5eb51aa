import { addDays } from '../calendar/index.ts'
import { type Expression, evaluate } from '../explanation/index.ts'
import { explainAgainst, explainChange, explainChangeMoney } from './explain-summary.ts'
import { type ChangeRecord, whatChanged } from './what-changed.ts'

const TODAY = '2026-11-26'
/** Little differences that are the same every time. */
const wobble = (at: number) => ((at * 37) % 11) / 1000 - 0.005

const record = (daysAgo: number, changes: Partial<ChangeRecord> = {}): ChangeRecord => ({
  day: addDays(TODAY, -daysAgo),
  item: 'chicken',
  style: 'supremes',
  cook: 'marit',
  supplier: 'ostravale',
  ap: 12_000,
  primaryWeight: 4_800,
  portionYield: 0.4 + wobble(daysAgo),
  minutesPerUnit: 9 + wobble(daysAgo),
  spent: 48,
  ...changes,
})
const every = (days: number, from: number, to: number, changes: (daysAgo: number) => Partial<ChangeRecord>) =>
  Array.from({ length: Math.floor((to - from) / days) + 1 }, (_, at) => from + at * days).map((daysAgo) =>
    record(daysAgo, changes(daysAgo)),
  )

test('where nothing changed nothing is said, however much is asked', () => {
  const { changes, tests } = whatChanged(
    every(2, 0, 111, (at) => ({ cook: at % 4 === 0 ? 'marit' : 'ondine' })),
    TODAY,
  )
  expect(changes).toEqual([])
  expect(tests).toBeGreaterThan(6)
})

test('a style that gives less is said in points and in money a week', () => {
  const records = every(2, 0, 110, (at) => ({ portionYield: (at < 28 ? 0.38 : 0.4) + wobble(at) }))
  const [first] = whatChanged(records, TODAY).changes
  expect(first).toMatchObject({ of: 'style', key: 'supremes', item: 'chicken', what: 'portion-yield' })
  expect(first?.difference).toBeCloseTo(-0.02, 3)
  expect(first?.recent.records).toBe(14)
  // Fourteen records of 12 kg in 27 days, portions at 10 a kilo.
  expect(first?.moneyPerWeek).toBeCloseTo((first?.difference ?? 0) * ((14 * 12) / (27 / 7)) * 10, 6)
  // Both open to what they are worked out from.
  if (!first) throw new Error('it changed')
  expect(evaluate(explainChange(first).expression)).toBeCloseTo(first.difference, 12)
  expect(evaluate(explainChangeMoney(first)?.expression as Expression)).toBeCloseTo(first.moneyPerWeek ?? 0, 9)
  expect(explainChangeMoney({ ...first, what: 'minutes', moneyPerWeek: null })).toBeNull()
  expect(evaluate(explainAgainst(-0.012).expression)).toBeCloseTo(-0.012, 12)
})

test('another mix of styles is no change of a cook, but her own slowness is', () => {
  const mixed = every(2, 0, 110, (at) => ({
    cook: 'ondine',
    style: at < 28 || at % 4 === 0 ? 'halves' : 'supremes',
    portionYield: (at < 28 || at % 4 === 0 ? 0.7 : 0.4) + wobble(at),
    minutesPerUnit: (at < 28 ? 12 : 9) + wobble(at),
  }))
  const { changes } = whatChanged(mixed, TODAY)
  expect(changes.filter(({ of, what }) => of === 'cook' && what === 'portion-yield')).toEqual([])
  expect(changes.some(({ of, key, what }) => of === 'cook' && key === 'ondine' && what === 'minutes')).toBe(true)
})

test('fewer than four records on a side, and nobody, are not tested', () => {
  const few = [...every(10, 0, 27, () => ({})), ...every(3, 28, 110, () => ({}))]
  expect(whatChanged(few, TODAY)).toEqual({ changes: [], tests: 0 })
  expect(
    whatChanged(
      every(2, 0, 110, () => ({ cook: null, supplier: null })),
      TODAY,
    ).tests,
  ).toBe(2)
})
