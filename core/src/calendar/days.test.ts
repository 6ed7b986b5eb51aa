import { addDays, addMonths, daysBetween, parseDay } from './index.ts'

test.each([
  ['2026-11-24', 2, '2026-11-26'],
  ['2026-12-31', 1, '2027-01-01'],
  ['2028-02-28', 1, '2028-02-29'],
  ['2026-03-28', 2, '2026-03-30'],
  ['2026-11-24', -24, '2026-10-31'],
])('%s and %i days is %s, whatever the clocks do', (day, days, expected) => {
  expect(addDays(day, days)).toBe(expected)
  expect(daysBetween(day, expected)).toBe(days)
})

test.each([
  ['2026-11-24', 9, '2027-08-24'],
  ['2026-08-31', 6, '2027-02-28'],
  ['2027-08-31', 6, '2028-02-29'],
])('%s and %i months is %s', (day, months, expected) => {
  expect(addMonths(day, months)).toBe(expected)
})

test.each([
  ['2026-11-24', '2026-11-24'],
  [' 24.11.2026 ', '2026-11-24'],
  ['4.1.2027', '2027-01-04'],
  ['24 Nov 2026', '2026-11-24'],
  ['11/24/2026', null],
  ['30.2.2026', null],
  ['soon', null],
  ['', null],
])('%j is read as %s', (text, expected) => {
  expect(parseDay(text)).toBe(expected)
})
