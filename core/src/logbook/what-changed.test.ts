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
  Array.from({ length: Math.floor((to - from) / days) + 1 }, (_, index) => from + index * days).map((daysAgo) =>
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
  const others = every(3, 0, 110, () => ({ cook: 'marit', style: 'halves', portionYield: 0.7 }))
  const { changes } = whatChanged([...mixed, ...others], TODAY)
  expect(changes.filter(({ what }) => what === 'portion-yield')).toEqual([])
  // It is told once: by the style, which says whose it is.
  const [first, ...rest] = changes
  expect(rest).toEqual([])
  expect(first).toMatchObject({ of: 'style', key: 'halves', what: 'minutes' })
  expect(first?.attributions).toEqual([{ of: 'cook', kind: 'one', moved: ['ondine'], held: ['marit'] }])
})

test('a supplier whose one style changed is told by the style, and by itself where others changed too', () => {
  const of = (style: string, less: number) =>
    every(2, 0, 110, (at) => ({ style, supplier: 'skerrow', portionYield: (at < 28 ? 0.4 - less : 0.4) + wobble(at) }))
  const bySupplier = (records: ChangeRecord[]) => whatChanged(records, TODAY).changes.map((change) => change.of)
  expect(bySupplier(of('hake', 0.02))).toEqual(['style'])
  expect(bySupplier([...of('hake', 0.02), ...of('char', 0)])).toEqual(['style'])
  // Too little in each to be told by itself, and too much in all of them together.
  const slight = ['char', 'cod', 'ling', 'sole'].flatMap((style) => of(style, 0.0012))
  expect(bySupplier([...of('hake', 0.02), ...slight])).toContain('supplier')
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
