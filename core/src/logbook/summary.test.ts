import fc from 'fast-check'
import { momentsOf, tHalfWidth } from '../statistics/index.ts'
import { MONEY_VIEWS, type RecordMoney } from './record-figures.ts'
import { type MemberSums, type MemberYields, summariseLogbook } from './summary.ts'

interface Entry {
  member: string | null
  comparable: string
  units: number
  ap: number
  yield: number
  minutes: number | null
  money: RecordMoney
}

const moneyOf = (amount: number) =>
  Object.fromEntries(MONEY_VIEWS.map((view, index) => [view, amount + index])) as never

const groupsOf = <K>(entries: readonly Entry[], keyOf: (entry: Entry) => K): [K, Entry[]][] =>
  [...new Set(entries.map((entry) => JSON.stringify(keyOf(entry))))].map((key) => [
    JSON.parse(key) as K,
    entries.filter((entry) => JSON.stringify(keyOf(entry)) === key),
  ])

/** One row for each member, and one for each member and what is comparable, as a database would group them. */
function summarised(entries: readonly Entry[]) {
  const sums = groupsOf(entries, ({ member }) => member).map(([member, own]): MemberSums => {
    const sum = (of: (entry: Entry) => number) => own.reduce((total, row) => total + of(row), 0)
    return {
      member,
      records: own.length,
      units: sum((entry) => entry.units),
      ap: sum((entry) => entry.ap),
      primaryWeight: sum((entry) => entry.ap * entry.yield),
      portionYield: momentsOf(own.map((row) => row.yield)),
      minutesPerUnit: momentsOf(own.flatMap((row) => row.minutes ?? [])),
      money: Object.fromEntries(MONEY_VIEWS.map((view) => [view, sum((entry) => entry.money[view])])) as never,
    }
  })
  const yields = groupsOf(entries, ({ member, comparable }) => ({ member, comparable })).map(
    ([key, own]): MemberYields => ({ ...key, portionYield: momentsOf(own.map((row) => row.yield)) }),
  )
  return summariseLogbook(sums, yields)
}

const entry = fc.record({
  member: fc.constantFrom('marit', 'ondine', 'bruno', null),
  comparable: fc.constantFrom('supremes', 'halves'),
  units: fc.integer({ min: 1, max: 20 }),
  ap: fc.integer({ min: 1000, max: 60_000 }),
  yield: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
  minutes: fc.option(fc.double({ min: 1, max: 30, noNaN: true })),
  money: fc.double({ min: -50, max: 50, noNaN: true }).map(moneyOf),
})

/** Mean and interval, written down a second time. */
function spread(values: readonly number[]) {
  const n = values.length
  const mean = values.reduce((sum, value) => sum + value, 0) / n
  const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1))
  const half = n < 2 ? Number.NaN : tHalfWidth(n, sd, 0.95)
  return { mean, sd, low: mean - half, high: mean + half }
}
const near = (value: number | null | undefined, wanted: number) =>
  Number.isNaN(wanted) ? expect(value ?? null).toBeNull() : expect(value).toBeCloseTo(wanted, 8)

test('what is summed by members is what every record says by itself', () => {
  fc.assert(
    fc.property(fc.array(entry, { maxLength: 40 }), (entries) => {
      const { groups, all } = summarised(entries)
      expect(all.records).toBe(entries.length)
      for (const view of MONEY_VIEWS) {
        near(
          all.money[view],
          entries.reduce((sum, entry) => sum + entry.money[view], 0),
        )
      }
      for (const group of groups) {
        const own = entries.filter(({ member }) => member === group.key)
        const yields = spread(own.map((row) => row.yield))
        near(group.portionYield.mean, yields.mean)
        near(group.portionYield.sd, yields.sd)
        near(group.portionYield.low, yields.low)
        const minutes = spread(own.flatMap((row) => row.minutes ?? []))
        near(group.minutesPerUnit.mean, minutes.mean)
        near(group.minutesPerUnit.high, minutes.high)
        const differences = own.flatMap((row) => {
          const others = entries.filter((other) => other.comparable === row.comparable && other.member !== group.key)
          return others.length === 0
            ? []
            : row.yield - others.reduce((sum, other) => sum + other.yield, 0) / others.length
        })
        const against = spread(differences)
        if (differences.length === 0) expect(group.yieldAgainstStyle).toBeNull()
        else {
          near(group.yieldAgainstStyle?.mean, against.mean)
          near(group.yieldAgainstStyle?.low, against.low)
        }
      }
    }),
    { numRuns: 200 },
  )
})

test('one record has a mean and no interval; none has neither', () => {
  const only = fc.sample(entry, { numRuns: 1, seed: 1 })[0] as Entry
  const { groups, all } = summarised([only])
  expect(groups[0]?.portionYield).toMatchObject({ mean: only.yield, sd: null, low: null, high: null })
  expect(all.portionYield.weighted).toBeCloseTo(only.yield, 12)
  expect(summarised([])).toMatchObject({
    groups: [],
    all: { records: 0, portionYield: { mean: null, weighted: null }, minutesPerUnit: { mean: null } },
  })
})
