import { oddWeeks } from './odd-weeks.ts'
import { MONEY_VIEWS, type RecordMoney } from './record-figures.ts'
import { type ComparedRecord, turnsOf } from './turns.ts'

const record = (at: number, savingPerPortion: number, costPerPortion = 8): ComparedRecord => ({
  id: String(at),
  day: `2026-${String(Math.floor(at / 28) + 1).padStart(2, '0')}-${String((at % 28) + 1).padStart(2, '0')}`,
  item: 'tenderloin',
  style: 'steaks',
  costPerPortion,
  savingPerPortion,
})

test('a price that made buying cheaper for a while is two turns, newest first', () => {
  const records = [1, 1, 1, 1, -1, -1, -1, -1, 1, 1, 1].map((saving, index) =>
    record(index * 5, saving, saving < 0 ? 10 : 8),
  )
  expect(turnsOf(records)).toEqual([
    expect.objectContaining({ to: 'make', from: record(40, 1).day, records: 3, cost: { now: 8, before: 10 } }),
    expect.objectContaining({
      to: 'buy',
      from: record(20, 1).day,
      until: record(35, 1).day,
      offer: { now: 9, before: 9 },
    }),
  ])
})

test('a record or two that say otherwise are no turn', () => {
  expect(turnsOf([1, 1, -1, 1, -1, -1, 1, 1, 1].map((saving, index) => record(index, saving)))).toEqual([])
  expect(turnsOf([])).toEqual([])
})

describe('a week that stands out', () => {
  const money = (changes: Partial<RecordMoney> = {}): RecordMoney => ({
    ...(Object.fromEntries(MONEY_VIEWS.map((view) => [view, 0])) as Record<(typeof MONEY_VIEWS)[number], number>),
    spent: 800,
    ...changes,
  })
  const weeks = Array.from({ length: 20 }, (_, index) => ({
    week: `2026-W${index + 10}`,
    records: 5,
    money: money({ unused: 40 + (index % 5), waste: 50 + (index % 3) }),
  }))

  test('is one in which the bones were thrown away', () => {
    const thrown = { week: '2026-W40', records: 5, money: money({ unused: 160, waste: 51 }) }
    expect(oddWeeks([...weeks, thrown])).toEqual([
      { week: '2026-W40', view: 'unused', amount: 160, usual: expect.closeTo(42, 0) },
    ])
  })

  test('is none of few, none where all are alike, and no little one', () => {
    expect(oddWeeks(weeks.slice(0, 11))).toEqual([])
    expect(oddWeeks(weeks)).toEqual([])
    const little = { week: '2026-W41', records: 1, money: money({ spent: 30, unused: 10 }) }
    expect(oddWeeks([...weeks, little])).toEqual([])
  })
})
