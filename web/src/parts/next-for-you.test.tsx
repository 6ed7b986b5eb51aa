import type { DayTask } from '@fleam/core/plans'
import { fireEvent, screen, within } from '@testing-library/react'
import { lotRow } from '../../test/lots.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { answerWith } from '../../test/server.ts'
import { NextForYou } from './next-for-you.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const task = (id: string, changes: Partial<DayTask> = {}): DayTask => ({
  ...{ id, planId: 'plan', plan: 'Week', jobId: 'job', fabricationId: null, what: `Duck, ${id}` },
  ...{ kind: 'cut', state: 'waiting', start: 480, end: 510, cookId: 'm', station: { name: 'board', number: 1 } },
  ...{ begunAt: null, doneAt: null, ...changes },
})
const COOKS = [
  { id: 'm', name: 'Marit', wagePerHour: 20, week: null, skills: null },
  { id: 'b', name: 'Bruno', wagePerHour: 20, week: null, skills: null },
]

async function shown(tasks: DayTask[]) {
  const sent = answerWith({
    [`GET ${BASE}/day-schedule`]: { body: { day: '2026-12-03', tasks } },
    [`GET ${BASE}/cooks`]: { body: COOKS },
    [`PUT ${BASE}/plans/plan/told`]: { body: { id: 'plan' } },
  })
  renderPart(<NextForYou />)
  await answered()
  return sent
}
const choose = async (name: string) => {
  fireEvent.change(screen.getByLabelText('Whose device this is'), {
    target: { value: COOKS.find((cook) => cook.name === name)?.id },
  })
  await answered()
}

beforeEach(() => localStorage.clear())

test('where nothing is scheduled it says nothing', async () => {
  await shown([])
  expect(screen.queryByText('Next for')).toBeNull()
})

test('a device knows whose it is, and shows their next three tasks without those that are done', async () => {
  await shown([
    task('1', { state: 'done' }),
    task('2', { state: 'running', fabricationId: 'record' }),
    task('3'),
    task('4'),
    task('5'),
    task('pot', { cookId: null }),
    task('other', { cookId: 'b' }),
  ])
  expect(screen.queryAllByRole('listitem')).toEqual([])
  await choose('Marit')
  expect(screen.getAllByRole('listitem').map((element) => /Duck, (\w+)/.exec(element.textContent ?? '')?.[1])).toEqual([
    '2',
    '3',
    '4',
  ])
  expect(screen.getByRole('link', { name: 'Go on weighing' }).getAttribute('href')).toBe('/bench/record')
  expect(screen.getAllByRole('link', { name: 'Start at the bench' })[0]?.getAttribute('href')).toBe(
    '/bench?planned=job',
  )
  expect(localStorage.getItem('fleam.cook-of-this-device')).toBe('m')
  await choose('Bruno')
  expect(screen.getByRole('listitem').textContent).toContain('Duck, other')
})

test('of what falls to whoever is on duty only the next stands among a cook’s own tasks', async () => {
  const pot = (id: string, start: number) => task(id, { kind: 'stock-on', cookId: null, start, end: start + 10 })
  await shown([
    ...[pot('pot1', 400), pot('pot2', 410), pot('pot3', 420)],
    ...[task('1', { start: 430 }), task('2', { start: 440 }), task('3', { start: 450 })],
  ])
  await choose('Marit')
  expect(screen.getAllByRole('listitem').map((element) => /Duck, (\w+)/.exec(element.textContent ?? '')?.[1])).toEqual([
    ...['pot1', '1', '2', '3'],
  ])
})

test('what waits to be cut says where its meat lies', async () => {
  const planned = { id: 'job', itemId: 'duck', lotId: null }
  answerWith({
    [`GET ${BASE}/day-schedule`]: { body: { day: '2026-12-03', tasks: [task('1'), task('2', { jobId: 'later' })] } },
    [`GET ${BASE}/cooks`]: { body: COOKS },
    [`GET ${BASE}/planned`]: { body: [planned, { ...planned, id: 'later', itemId: 'goose' }] },
    [`GET ${BASE}/lots`]: { body: [lotRow('OY-7', 'duck', '2199-12-02')] },
  })
  localStorage.setItem('fleam.cook-of-this-device', 'm')
  renderPart(<NextForYou />)
  await answered()
  const [first, second] = screen.getAllByRole('listitem')
  expect(first?.textContent).toContain('in the cold: lot OY-7')
  expect(second?.textContent).toContain('waits for its delivery')
})

test('what no scale tells of is begun and done by a touch', async () => {
  localStorage.setItem('fleam.cook-of-this-device', 'm')
  const sent = await shown([
    task('pack', { kind: 'pack' }),
    task('chill', { kind: 'chill', state: 'running', begunAt: '2026-12-03T08:00:00.000Z' }),
  ])
  const [pack, chill] = screen.getAllByRole('listitem') as [HTMLElement, HTMLElement]
  const told = () => sent.filter(({ method }) => method === 'PUT').map(({ body }) => body)
  await touch(within(pack).getByRole('button', { name: 'Begin' }))
  await answered()
  expect(told()[0]).toMatchObject({ taskId: 'pack', doneAt: null, begunAt: expect.stringMatching(/Z$/) })
  expect(within(chill).queryByRole('button', { name: 'Begin' })).toBeNull()
  await touch(within(chill).getByRole('button', { name: 'Done' }))
  await answered()
  expect(told()[1]).toMatchObject({ taskId: 'chill', begunAt: '2026-12-03T08:00:00.000Z' })
})

test('somebody whose work is over is told so', async () => {
  localStorage.setItem('fleam.cook-of-this-device', 'b')
  await shown([task('1')])
  expect(screen.getByText('Nothing more for today.')).toBeTruthy()
})

test('what falls to whoever is on duty is on every device, and the first who does it says so', async () => {
  const sent = await shown([
    task('pot', { kind: 'stock-on', cookId: null, station: null, what: 'put the bones on' }),
    task('own', { cookId: 'b' }),
  ])
  for (const name of ['Marit', 'Bruno']) {
    await choose(name)
    expect(screen.getByText(/put the bones on/).textContent).toContain('whoever is on duty')
  }
  await touch(screen.getByRole('button', { name: 'Begin' }))
  await answered()
  expect(sent.find(({ method }) => method === 'PUT')?.body).toMatchObject({ taskId: 'pot', doneAt: null })
})
