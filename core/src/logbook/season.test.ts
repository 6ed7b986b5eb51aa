import { addDays } from '../calendar/index.ts'
import { type SeasonShare, seasonsOf } from './season.ts'

const wobble = (at: number) => ((at * 37) % 11) / 2000 - 0.0025
const shares = (name: string, shareOf: (yearShare: number, at: number) => number): SeasonShare[] =>
  Array.from({ length: 60 }, (_, index) => {
    const day = addDays('2025-01-05', index * 9)
    const yearShare = (Number(day.slice(5, 7)) - 0.5) / 12
    return { item: 'lamb', style: 'frenched', pile: name, name, day, share: shareOf(yearShare, index) }
  })

test('a pile that is largest in winter is found, with its months and its swing', () => {
  const fat = shares('fat', (year, at) => 0.08 + 0.015 * Math.cos(2 * Math.PI * (year - 1 / 24)) + wobble(at))
  const [found, ...rest] = seasonsOf([...fat, ...shares('bones', (_, at) => 0.2 + wobble(at))])
  expect(rest).toEqual([])
  expect(found).toMatchObject({ pile: 'fat', most: 1, least: 7, records: 60 })
  expect(found?.swing).toBeCloseTo(0.03, 2)
  expect(found?.months).toHaveLength(12)
})

test('half a year, few records and a pile that does not change tell no season', () => {
  const fat = shares('fat', (year) => 0.08 + 0.015 * Math.cos(2 * Math.PI * year))
  expect(seasonsOf(fat.filter(({ day }) => day < '2025-07-01'))).toEqual([])
  expect(seasonsOf(fat.slice(0, 20))).toEqual([])
  expect(seasonsOf(shares('fat', () => 0.08))).toEqual([])
})
