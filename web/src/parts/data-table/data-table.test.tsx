import { fireEvent, screen, within } from '@testing-library/react'
import { renderPart, touch } from '../../../test/render.tsx'
import { csvOf } from './csv.ts'
import { type DataColumn, DataTable } from './data-table.tsx'

interface Bird {
  id: string
  kind: string
  grams: number | null
  day: string
}
const BIRDS: Bird[] = [
  { id: 'a', kind: 'Chicken 10', grams: 2100, day: '2026-11-24' },
  { id: 'b', kind: 'chicken 9', grams: null, day: '2026-11-25' },
  { id: 'c', kind: 'Duck, "fat"', grams: 2600.5, day: '2026-10-01' },
]
const COLUMNS: DataColumn<Bird>[] = [
  { id: 'kind', header: 'Kind', isRowHeader: true, value: ({ kind }) => kind },
  { id: 'grams', header: 'Weight', csvHeader: 'weight g', isNumber: true, value: ({ grams }) => grams },
  { id: 'day', header: 'Day', isHiddenAtFirst: true, value: ({ day }) => day, words: () => 'Tuesday' },
  { id: 'cut', header: 'Cut it', value: null, cell: ({ kind }) => <button type="button">Cut {kind}</button> },
]
const show = (rows: readonly Bird[] = BIRDS, more: object = {}) =>
  renderPart(<DataTable name="birds" columns={COLUMNS} rows={rows} idOf={({ id }) => id} {...more} />)
const kinds = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent)
const heading = (name: string) => screen.getByRole('columnheader', { name })

beforeEach(() => localStorage.clear())

test('a heading sorts upwards, downwards, then as it came; what has no value stands last', async () => {
  show()
  expect(kinds()).toEqual(['Chicken 10', 'chicken 9', 'Duck, "fat"'])
  await touch(screen.getByRole('button', { name: 'Kind' }))
  expect(kinds()).toEqual(['chicken 9', 'Chicken 10', 'Duck, "fat"'])
  expect(heading('Kind').getAttribute('aria-sort')).toBe('ascending')
  await touch(screen.getByRole('button', { name: 'Weight' }))
  await touch(screen.getByRole('button', { name: 'Weight' }))
  expect(kinds()).toEqual(['Duck, "fat"', 'Chicken 10', 'chicken 9'])
  expect([heading('Weight'), heading('Kind')].map((element) => element.getAttribute('aria-sort'))).toEqual([
    'descending',
    null,
  ])
  await touch(screen.getByRole('button', { name: 'Weight' }))
  expect(kinds()).toEqual(['Chicken 10', 'chicken 9', 'Duck, "fat"'])
})

test('columns are chosen and remembered on the device; the last one stays', async () => {
  const { unmount } = show()
  expect(screen.queryByText('2026-11-24')).toBeNull()
  await touch(screen.getByRole('button', { name: 'Columns' }))
  await touch(screen.getByLabelText('Day'))
  await touch(screen.getByLabelText('Weight'))
  unmount()
  show()
  expect(screen.getByText('2026-11-24')).toBeTruthy()
  expect(screen.queryByText('2100')).toBeNull()
  // The others away, the last one cannot be.
  await touch(screen.getByRole('button', { name: 'Columns' }))
  await touch(screen.getByLabelText('Day'))
  await touch(screen.getByLabelText('Kind'))
  expect(kinds()).toHaveLength(3)
})

test('a list of some length is searched by what is worth and by what is written, and says when nothing fits', () => {
  show(Array.from({ length: 9 }, (_, index) => ({ ...(BIRDS[index % 3] as Bird), id: String(index) })))
  const search = screen.getByLabelText('Find in this list')
  fireEvent.change(search, { target: { value: 'tuesday DUCK' } })
  expect(kinds()).toEqual(['Duck, "fat"', 'Duck, "fat"', 'Duck, "fat"'])
  fireEvent.change(search, { target: { value: 'hake' } })
  expect(screen.getByText('Nothing in this list has “hake”.')).toBeTruthy()
})

test('so many at first, the others when they are asked for; the button counts them', async () => {
  show(BIRDS, { shownAtFirst: 1, moreWords: (count: number) => `${count} others` })
  expect(kinds()).toEqual(['Chicken 10'])
  await touch(screen.getByRole('button', { name: '2 others' }))
  expect(kinds()).toHaveLength(3)
})

test('a page of a list that the server sorts has nothing to sort; a long one is drawn where it is in sight', () => {
  const { unmount } = show(BIRDS, { isPage: true })
  expect(within(heading('Kind')).queryByRole('button')).toBeNull()
  unmount()
  show(Array.from({ length: 5000 }, (_, index) => ({ ...(BIRDS[0] as Bird), id: String(index) })))
  expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('5001')
  expect(screen.queryAllByRole('rowheader').length).toBeLessThan(200)
})

test('a row that cannot be worked out stands last and says so; the others are there', async () => {
  const odd = {
    ...(BIRDS[0] as Bird),
    get kind(): string {
      throw new Error('odd')
    },
  }
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => {})
  show([odd, ...BIRDS.slice(1)], { oddRow: () => 'This one is odd.' })
  expect(screen.getByText('This one is odd.')).toBeTruthy()
  expect(kinds()).toEqual(['chicken 9', 'Duck, "fat"'])
  quiet.mockRestore()
})

test('CSV has what is shown, quoted, with a point in numbers and nothing where nothing is', () => {
  expect(csvOf(COLUMNS, BIRDS.slice(1)).split('\r\n')).toEqual([
    'Kind,weight g,Day',
    'chicken 9,,2026-11-25',
    '"Duck, ""fat""",2600.5,2026-10-01',
  ])
})
