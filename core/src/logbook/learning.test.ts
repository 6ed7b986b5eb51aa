import { addDays } from '../calendar/index.ts'
import { improvementsOf, learningCurve, type PracticeRecord, practiceOf } from './learning.ts'

const wobble = (at: number) => ((at * 37) % 11) / 2000 - 0.0025
const record = (at: number, changes: Partial<PracticeRecord> = {}): PracticeRecord => ({
  id: `${changes.cook ?? 'ondine'} ${at}`,
  day: addDays('2026-09-01', at * 3),
  item: 'chicken',
  style: 'supremes',
  cook: 'ondine',
  supplier: 'ostravale',
  units: 6,
  ap: 12_000,
  primaryWeight: 4_800,
  portionYield: 0.69 + wobble(at),
  minutesPerUnit: 9 + wobble(at),
  spent: 48,
  ...changes,
})
/** She began at 63 % and came to 69 % in ten sessions, and from fifteen minutes to nine. */
const bruno = Array.from({ length: 10 }, (_, index) =>
  record(index, {
    cook: 'bruno',
    portionYield: 0.63 + (0.06 * Math.log(6 * index + 3.5)) / Math.log(57.5) + wobble(index),
    minutesPerUnit: 15 * (6 * index + 3.5) ** -0.12 + wobble(index),
  }),
)
const others = Array.from({ length: 12 }, (_, index) => record(index))

test('a new cook who gets better is found in yield and in minutes; a practised one is not', () => {
  const found = improvementsOf([...others, ...bruno])
  expect(found.map(({ cook, what }) => [cook, what])).toEqual([
    ['bruno', 'portion-yield'],
    ['bruno', 'minutes'],
  ])
  expect(found[0]).toMatchObject({ records: 10, units: 60, from: '2026-09-01' })
  expect(found[0]?.last).toBeCloseTo(0.69, 2)
  expect((found[0]?.last ?? 0) - (found[0]?.first ?? 0)).toBeGreaterThan(0.03)
  expect(found[1]?.last).toBeLessThan(found[1]?.first ?? 0)
})

test('practice is worth the difference to the others × her weekly kilos × what a kilo of portions costs', () => {
  const days = 4 * 7
  const [first, ...rest] = practiceOf([...others, ...bruno], '2026-09-01', addDays('2026-09-01', days - 1))
  expect(rest).toEqual([])
  if (!first) throw new Error('she has something to learn')
  const mean = (records: readonly PracticeRecord[]) =>
    records.reduce((sum, { portionYield }) => sum + portionYield, 0) / records.length
  expect(first).toMatchObject({ cook: 'bruno', records: 10, othersRecords: 12, isSure: true })
  expect(first.moneyPerWeek).toBeCloseTo((mean(others) - mean(bruno)) * ((10 * 12) / 4) * (48 / 4.8), 9)
  expect(practiceOf([...others.slice(0, 3), ...bruno], '2026-09-01', '2026-10-01')).toEqual([])
})

test('a curve stands at the middle of its own units, and its band holds the line', () => {
  const curve = learningCurve(bruno, 'minutes')
  expect(curve.map(({ repetition }) => repetition).slice(0, 3)).toEqual([3.5, 9.5, 15.5])
  for (const { fit, low, high, value } of curve) {
    expect(fit).toBeGreaterThan(low ?? 0)
    expect(fit).toBeLessThan(high ?? 0)
    expect(Math.abs(value - (fit ?? 0))).toBeLessThan(0.02)
  }
  expect(learningCurve(bruno.slice(0, 2), 'portion-yield').map(({ fit }) => fit)).toEqual([null, null])
})
