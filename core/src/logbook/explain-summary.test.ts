import { evaluate } from '../explanation/index.ts'
import { momentsOf } from '../statistics/index.ts'
import { explainEnd, explainMean, explainMoneyView } from './explain-summary.ts'
import { type MemberSums, summariseLogbook } from './summary.ts'

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
