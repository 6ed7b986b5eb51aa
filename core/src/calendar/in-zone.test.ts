import { dayIn, minutesSince } from './in-zone.ts'

test('a day and its minutes are those of the clock on the wall, whatever the zone of the machine', () => {
  const instant = new Date('2026-12-01T23:30:40.000Z')
  expect(dayIn('UTC', instant)).toBe('2026-12-01')
  expect(dayIn('Europe/Vienna', instant)).toBe('2026-12-02')
  expect(dayIn('America/New_York', instant)).toBe('2026-12-01')
  expect(minutesSince('2026-12-02', 'Europe/Vienna', instant)).toBe(30)
  expect(minutesSince('2026-12-01', 'Europe/Vienna', instant)).toBe(1470)
  expect(minutesSince('2026-12-02', 'America/New_York', instant)).toBe(-330)
})

test('where clocks are put forward or back, minutes are read off the clock', () => {
  // 29 March 2026 in Vienna has no hour between two and three, 25 October has one twice.
  expect(minutesSince('2026-03-29', 'Europe/Vienna', new Date('2026-03-29T01:00:00Z'))).toBe(180)
  expect(minutesSince('2026-10-25', 'Europe/Vienna', new Date('2026-10-25T00:30:00Z'))).toBe(150)
  expect(minutesSince('2026-10-25', 'Europe/Vienna', new Date('2026-10-25T01:30:00Z'))).toBe(150)
  expect(dayIn('Europe/Vienna', new Date('2026-10-25T23:00:00Z'))).toBe('2026-10-26')
})
