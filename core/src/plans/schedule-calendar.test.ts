import ICAL from 'ical.js'
import { scheduleCalendar } from './schedule-calendar.ts'

const task = (id: string, day: number, cookId: string | null = 'm') => ({
  ...{ id, jobId: id, what: `Duck, ${id}`, start: day * 1440 + 480, end: day * 1440 + 510, cookId },
  ...{ kind: 'cut' as const, upTo: 1 },
  station: id === 'a' ? { name: 'board', number: 2 } : null,
})
const nameOf = new Map([
  ['m', 'Marit'],
  ['b', 'Bruno'],
])
const VIENNA = { nameOf, from: '2026-10-24', timeZone: 'Europe/Vienna' }

/** Read by a reader of calendars that shares nothing with what wrote it. */
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((component) => new ICAL.Event(component))

test('over the change to winter time eight stays eight', () => {
  // The clocks go back in the night to Sunday 25 Oct 2026.
  const tasks = [task('a', 0), task('b', 1), task('c', 1, 'b'), task('pot', 1, null)]
  const events = eventsOf(scheduleCalendar(tasks, { cookId: null, ...VIENNA }))
  expect(events.map((event) => [event.summary, event.startDate.toJSDate().toISOString()])).toEqual([
    ['Marit: Duck, a', '2026-10-24T06:00:00.000Z'],
    ['Marit: Duck, b', '2026-10-25T07:00:00.000Z'],
    ['Bruno: Duck, c', '2026-10-25T07:00:00.000Z'],
  ])
  expect([events[0]?.duration.toSeconds(), events[0]?.location]).toEqual([30 * 60, 'board 2'])
})

test('a cook’s calendar has their tasks alone, by the same ids each time', () => {
  const tasks = [task('a', 0), task('c', 1, 'b')]
  const events = eventsOf(scheduleCalendar(tasks, { cookId: 'b', ...VIENNA }))
  expect(events.map(({ summary, uid }) => [summary, uid])).toEqual([['Duck, c', '2026-10-24 c']])
})

test('what falls to whoever is on duty stands in every cook’s calendar, and says so', () => {
  const strain = { ...task('strain', 0, null), kind: 'stock-off' as const }
  const ofBruno = eventsOf(scheduleCalendar([task('a', 0), strain], { cookId: 'b', ...VIENNA }))
  expect(ofBruno.map(({ summary }) => summary)).toEqual(['Whoever is on duty: Duck, strain'])
  expect(eventsOf(scheduleCalendar([strain], { cookId: null, ...VIENNA }))).toHaveLength(1)
})

test('without anything to do it is an empty calendar', () => {
  expect(eventsOf(scheduleCalendar([], { cookId: null, nameOf, from: '', timeZone: 'Europe/Vienna' }))).toEqual([])
})
