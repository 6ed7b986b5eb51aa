import { dayIn } from '@fleam/core/calendar'
import { fireEvent, renderHook, screen } from '@testing-library/react'
import { renderPart, touch } from '../../test/render.tsx'
import { answerWith } from '../../test/server.ts'
import { readSetting, writeSetting } from '../data/settings.ts'
import { dayWords, minutesBetween, todayWords } from '../parts/dates.ts'
import SetUp from '../rooms/set-up/set-up.tsx'
import { ROOMS } from './rooms.ts'
import { useRoomKeys } from './use-room-keys.ts'

describe('rooms', () => {
  test('each have their own path and letter', () => {
    expect(new Set(ROOMS.map((room) => room.path)).size).toBe(ROOMS.length)
    expect(new Set(ROOMS.map((room) => room.letter)).size).toBe(ROOMS.length)
  })

  test('are reached by g and their letter, but not while typing', () => {
    const gone: unknown[] = []
    renderHook(() => useRoomKeys(((path: unknown) => gone.push(path)) as never))
    const press = (key: string, target: Element | Window = window) => fireEvent.keyDown(target, { key })
    press('v')
    press('g')
    press('v')
    press('g')
    press('x')
    press('b')
    const field = document.body.appendChild(document.createElement('input'))
    press('g', field)
    press('t', field)
    expect(gone).toEqual(['/verdict'])
  })
})

test('a day is the kitchen’s own, not the server’s', () => {
  const late = new Date('2026-11-24T23:30:00Z')
  expect(dayIn('Europe/Vienna', late)).toBe('2026-11-25')
  expect(dayIn('America/New_York', late)).toBe('2026-11-24')
  expect(todayWords('Europe/Vienna', late)).toBe('Wednesday 25 November')
  expect(dayWords('2026-11-24')).toBe('Tue 24 Nov')
})

test('minutes on the board are whole, and never negative', () => {
  const start = '2026-11-24T08:00:00.000Z'
  expect(minutesBetween(start, Date.parse('2026-11-24T08:29:59.999Z'))).toBe(29)
  expect(minutesBetween(start, Date.parse('2026-11-24T07:00:00.000Z'))).toBe(0)
})

test('settings of a device are remembered', () => {
  expect(readSetting('nothing')).toBeNull()
  writeSetting('theme', 'dark')
  expect(readSetting('theme')).toBe('dark')
})

test('a new kitchen is set up with its cooks, each named once', async () => {
  const asked = answerWith({ 'POST /api/kitchens': { status: 201, body: {} } })
  renderPart(<SetUp />)
  const open = screen.getByRole('button', { name: 'Open the kitchen' }) as HTMLButtonElement
  await touch(open)
  expect(screen.getByText('A kitchen needs a name.')).toBeTruthy()
  expect(screen.getByText('What does an hour of a cook cost?')).toBeTruthy()
  expect(asked).toHaveLength(0)
  fireEvent.change(screen.getByLabelText('Name of the kitchen'), { target: { value: 'Alder Landing' } })
  fireEvent.change(screen.getByLabelText(/Wage of a cook/), { target: { value: '20,5' } })
  fireEvent.change(screen.getByLabelText(/Cooks/), { target: { value: 'Ilka, Odo,, Ilka' } })
  await touch(open)
  expect(asked[0]?.body).toMatchObject({ name: 'Alder Landing', currency: 'EUR', units: 'metric', wagePerHour: 20.5 })
  const { id: kitchenId } = (asked[0] as { body: { id: string } }).body
  expect(asked[1]).toMatchObject({
    path: `/api/kitchens/${kitchenId}/cooks`,
    body: { name: 'Ilka', wagePerHour: 20.5 },
  })
})

test('a cook’s name that is too long is said as it is typed, and sent again each cook is the same one', async () => {
  // The network is cut before the cook is there.
  const asked = answerWith({ 'POST /api/kitchens': { status: 201, body: {} } })
  renderPart(<SetUp />)
  const open = screen.getByRole('button', { name: 'Open the kitchen' }) as HTMLButtonElement
  const cooks = (value: string) => fireEvent.change(screen.getByLabelText(/Cooks/), { target: { value } })
  fireEvent.change(screen.getByLabelText('Name of the kitchen'), { target: { value: 'Alder Landing' } })
  fireEvent.change(screen.getByLabelText(/Wage of a cook/), { target: { value: '20' } })
  cooks(`Ilka, ${'o'.repeat(61)}`)
  expect(await screen.findByText(/A cook’s name has 60 letters at most/)).toBeTruthy()
  cooks(Array.from({ length: 101 }, (_, index) => `c${index}`).join(','))
  expect(await screen.findByText('A kitchen has 100 cooks at most.')).toBeTruthy()
  await touch(open)
  expect(asked).toHaveLength(0)
  cooks('Ilka')
  await touch(open)
  await touch(open)
  const ids = asked.filter(({ path }) => path.endsWith('/cooks')).map(({ body }) => (body as { id: string }).id)
  expect([ids.length, new Set(ids).size]).toEqual([2, 1])
})
