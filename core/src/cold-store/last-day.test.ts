import fc from 'fast-check'
import cases from '../../cases/last-day.json'
import { addDays } from '../calendar/index.ts'
import { type KeepingEvent, type LastDayRequest, lastDay } from './index.ts'

test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, { input, expect: expected }) => {
  expect(lastDay(input as LastDayRequest)).toEqual(expected)
})

const poultry: LastDayRequest = { made: '2026-12-01', days: 2, months: 9, openedDays: 2 }

test('the day of opening is day 1', () => {
  expect(lastDay({ ...poultry, days: 4, events: [{ what: 'open', on: '2026-12-02' }] }).last).toBe('2026-12-03')
})

test('what was frozen keeps as many days as were left, as far as the kitchen allows', () => {
  const events: KeepingEvent[] = [
    { what: 'freeze', on: '2026-12-01' },
    { what: 'thaw', on: '2027-02-10' },
  ]
  expect(lastDay({ ...poultry, events }).last).toBe('2027-02-11')
  expect(lastDay({ ...poultry, thawedDays: 2, events }).last).toBe('2027-02-12')
  expect(lastDay({ ...poultry, thawedDays: 5, events }).last).toBe('2027-02-12')
})

test('cooked has a life of its own, which reheating does not begin anew', () => {
  const cook = { what: 'cook', cooled: true, days: 3, months: 3 } as const
  const twice = lastDay({
    ...poultry,
    events: [
      { ...cook, on: '2026-12-02' },
      { ...cook, on: '2026-12-03' },
    ],
  })
  expect(twice).toEqual({ state: 'cooked', last: '2026-12-04', refused: [{ event: 1, code: 'cooked-already' }] })
})

test('whatever happens, nothing but freezing, thawing and cooking moves a last day to later', () => {
  const day = fc.integer({ min: -1, max: 12 }).map((days) => addDays('2026-12-01', days))
  const event: fc.Arbitrary<KeepingEvent> = fc.oneof(
    fc.record({ what: fc.constantFrom('freeze' as const, 'open' as const), on: day }),
    fc.record({ what: fc.constant('thaw' as const), on: day, weight: fc.integer({ min: 0, max: 9000 }) }),
    fc.record({ what: fc.constant('merge' as const), on: day, last: day }),
    fc.record({
      what: fc.constant('cook' as const),
      on: day,
      cooled: fc.boolean(),
      days: fc.integer({ min: 1, max: 5 }),
    }),
  )
  const request = fc.record({
    made: fc.constant('2026-12-01'),
    days: fc.integer({ min: 1, max: 6 }),
    months: fc.option(fc.integer({ min: 1, max: 9 })),
    openedDays: fc.integer({ min: 1, max: 4 }),
    events: fc.array(event, { maxLength: 7 }),
  })
  fc.assert(
    fc.property(request, ({ events, ...rest }) => {
      let before = lastDay(rest)
      events.forEach((one, index) => {
        const now = lastDay({ ...rest, events: events.slice(0, index + 1) })
        const isRefused = now.refused.some((refusal) => refusal.event === index)
        if (isRefused) expect([now.state, now.last]).toEqual([before.state, before.last])
        else if (one.what === 'open' || one.what === 'merge') {
          expect((now.last as string) <= (before.last as string)).toBe(true)
        }
        before = now
      })
    }),
    { seed: 30, numRuns: 500 },
  )
})
