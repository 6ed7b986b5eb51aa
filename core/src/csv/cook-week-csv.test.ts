import { cookWeekCsv, readCookWeek } from './cook-week-csv.ts'

const COOKS: Parameters<typeof cookWeekCsv>[0] = [
  {
    ...{ id: 'm', name: 'Marit', skills: ['fish', 'poultry'] },
    week: [
      { day: 4, from: 480, until: 750 },
      { day: 1, from: 510, until: 1440 },
    ],
  },
  { id: 'b', name: '=Bruno, the 2nd', skills: null, week: null },
]

test('a week goes out and comes back the same', () => {
  const text = cookWeekCsv(COOKS)
  expect(text.split('\r\n')).toEqual([
    'cook,skills,day,from,until',
    'Marit,fish poultry,Monday,8:30,24:00',
    'Marit,fish poultry,Thursday,8:00,12:30',
    `"'=Bruno, the 2nd",all,,,`,
    '',
  ])
  const { cooks, issues } = readCookWeek(text, COOKS)
  expect(issues).toEqual([])
  expect(cooks).toEqual([
    {
      ...{ id: 'm', skills: ['fish', 'poultry'] },
      week: [
        { day: 1, from: 510, until: 1440 },
        { day: 4, from: 480, until: 750 },
      ],
    },
    { id: 'b', skills: null, week: [] },
  ])
})

test.each([
  ['cook,day,from,until', 1, 'skills'],
  ['cook,skills,day,from,until', 2, 'cook'],
  ['cook,skills,day,from,until\nNobody,all,Monday,8:00,9:00', 2, 'cook'],
  ['cook,skills,day,from,until\nMarit,lamb,Monday,8:00,9:00', 2, 'skills'],
  ['cook,skills,day,from,until\nMarit,all,Mo,8:00,9:00', 2, 'day'],
  ['cook,skills,day,from,until\nMarit,all,Monday,8,9:00', 2, 'from'],
  ['cook,skills,day,from,until\nMarit,all,Monday,8:00,25:00', 2, 'until'],
  ['cook,skills,day,from,until\nMarit,all,Monday,9:00,8:00', 2, 'until'],
])('%s: row %i, %s', (text, row, column) => {
  const { cooks, issues } = readCookWeek(text, COOKS)
  expect(cooks).toEqual([])
  expect(issues[0]).toMatchObject({ row, column })
})
