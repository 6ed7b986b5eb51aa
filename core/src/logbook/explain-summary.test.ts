import { evaluate } from '../explanation/index.ts'
import { momentsOf } from '../statistics/index.ts'
import { explainImprovement, explainPractice } from './explain-findings.ts'
import { explainRecordMinutes, explainRecordYield } from './explain-record.ts'
import { explainEnd, explainMean, explainMoneyView } from './explain-summary.ts'
import { type MemberSums, summariseLogbook } from './summary.ts'
import { explainRecordsCost } from './true-cost.ts'

const money = { spent: 100, saved: 20, givenAway: 3, waste: 4, unused: 5, demoted: 1, unaccounted: 2 }
const sumsOf = (member: string, yields: number[]): MemberSums => ({
  member,
  records: yields.length,
  units: 6,
  ap: 12_000,
  primaryWeight: 4_000,
  portionYield: momentsOf(yields),
  minutesPerUnit: momentsOf([9, 10]),
  money,
})

test('figures of a record open to what they are', () => {
  expect(evaluate(explainRecordYield(0.41, 12_600).expression)).toBeCloseTo(0.41, 12)
  expect(evaluate(explainRecordMinutes(8.5, 6).expression)).toBeCloseTo(8.5, 12)
  const practice = {
    records: 5,
    own: 0.36,
    house: 0.39,
    othersRecords: 9,
    isSure: true,
    kilosPerWeek: 20,
    costPerKg: 9,
  }
  expect(evaluate(explainPractice({ ...practice, moneyPerWeek: 5.4 }).expression)).toBeCloseTo(0.03 * 20 * 9, 9)
  const better = { what: 'minutes', records: 5, units: 30, first: 15, last: 9, from: '2026-01-01' } as const
  expect(evaluate(explainImprovement(better).expression)).toBe(-6)
  const cost = explainRecordsCost('a kilo', { records: 3, spent: 90, primaryWeight: 10_000 })
  expect(cost && evaluate(cost.expression)).toBeCloseTo(9, 9)
  expect(explainRecordsCost('a kilo', { records: 0, spent: 0, primaryWeight: 0 })).toBeNull()
})

test('what opens is what stands there', () => {
  const { groups, all } = summariseLogbook([sumsOf('a', [0.31, 0.34, 0.33]), sumsOf('b', [0.4])], [])
  const named = groups.map((group) => ({ ...group, name: group.key }))
  expect(evaluate(explainMoneyView('saved', named).expression)).toBe(all.money.saved)
  const [first, second] = groups
  if (!first || !second) throw new Error('two groups')
  const { portionYield } = first
  expect(evaluate(explainMean('Yield', portionYield.mean ?? 0, 3, 'share').expression)).toBeCloseTo(
    portionYield.mean ?? 0,
    12,
  )
  for (const end of ['low', 'high'] as const) {
    const opened = explainEnd('Yield', portionYield, 3, end, 'share')
    expect(opened && evaluate(opened.expression)).toBeCloseTo(portionYield[end] ?? 0, 12)
  }
  expect(explainEnd('Yield', second.portionYield, 1, 'low', 'share')).toBeNull()
})
