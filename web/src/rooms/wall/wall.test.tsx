import type { DayTask } from '@fleam/core/plans'
import { screen, within } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, setClock } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Wall } from './wall.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const task = (id: string, changes: Partial<DayTask> = {}): DayTask => ({
  ...{ id, planId: 'plan', plan: 'Week', jobId: 'job', fabricationId: null, what: id },
  ...{ kind: 'cut', state: 'waiting', start: 600, end: 630, cookId: 'm', station: null },
  ...{ begunAt: null, doneAt: null, ...changes },
})

async function wall(tasks: DayTask[]) {
  answerWith({
    [`GET ${BASE}/day-schedule`]: { body: { day: '2026-12-03', tasks } },
    [`GET ${BASE}/cooks`]: {
      body: [
        { id: 'm', name: 'Marit', wagePerHour: 20, week: null, skills: null },
        { id: 'b', name: 'Bruno', wagePerHour: 20, week: null, skills: null },
      ],
    },
  })
  renderPart(<Wall />)
  await answered()
}

beforeEach(() => {
  // A quarter past ten by the kitchen's clock.
  setClock('2026-12-03T09:15:00Z')
})
afterEach(() => jest.useRealTimers())

test('each cook who has work, what they do now and what comes next; who is late is seen', async () => {
  await wall([
    task('ducks', { state: 'running', start: 580, end: 620 }),
    task('char', { start: 640, end: 660 }),
    task('racks', { cookId: 'b', start: 600 }),
    task('pot', { cookId: null, state: 'running', end: 900 }),
  ])
  expect(screen.getByText('10:15')).toBeTruthy()
  const marit = screen.getByRole('region', { name: 'Marit' })
  expect(within(marit).getByText('until 10:20: ducks')).toBeTruthy()
  expect(within(marit).getByText('next at 10:40: char')).toBeTruthy()
  const bruno = screen.getByRole('region', { name: 'Bruno' })
  expect(within(bruno).getByText('free')).toBeTruthy()
  expect(within(bruno).getByText('should have begun at 10:00: racks')).toBeTruthy()
  expect(screen.getByText('By itself: pot until 15:00')).toBeTruthy()
})

test('without a schedule it says what would bring one', async () => {
  await wall([])
  expect(screen.getByText('Nothing is scheduled for today')).toBeTruthy()
})

test('what falls to whoever is on duty in the next hours is told with its time, until it is done', async () => {
  await wall([
    task('ducks'),
    task('put the bones on', { kind: 'stock-on', cookId: null, start: 650, end: 655 }),
    task('strain the pot', { kind: 'stock-off', cookId: null, start: 1300, end: 1310 }),
    task('take it out', { kind: 'confit-off', cookId: null, start: 610, end: 620, state: 'done' }),
  ])
  expect(screen.getByText(/^Whoever is on duty/).textContent).toBe('Whoever is on duty: 10:50 put the bones on')
})
