import { minutesSince } from '@fleam/core/calendar'
import type { KeptSchedule, Plan } from '@fleam/core/plans'
import { workCooks } from '@fleam/core/plans'
import { type PlacedTask, type Schedule, USUAL_WORK } from '@fleam/core/scheduling'
import { clockWords } from '@fleam/core/wording'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, setClock, touch } from '../../../../test/render.tsx'
import { answerWith } from '../../../../test/server.ts'
import type { ScheduleJobRequest, ScheduleMessage } from '../../../workers/plan-protocol.ts'
import { moved } from './moved.ts'
import { ScheduleRoom } from './schedule-room.tsx'

// The plan's first day is the next one.
beforeEach(() => void jest.useFakeTimers({ now: new Date('2026-12-01T09:00:00Z'), advanceTimers: true }))
afterEach(() => jest.useRealTimers())

let asked: ScheduleJobRequest | null = null
let hear: (told: ScheduleMessage) => void = () => {}
jest.mock('../../../workers/plan-client.ts', () => ({
  scheduleAside: (of: ScheduleJobRequest, listen: (told: ScheduleMessage) => void) => {
    asked = of
    hear = listen
    return () => {}
  },
}))

const ITEM = {
  id: 'duck',
  name: 'Duck',
  species: 'poultry',
  unitName: { one: 'bird', many: 'birds' },
  unitWeight: { low: 2000, usual: 2400, high: 2800 },
  styles: [
    {
      id: 'breasts',
      name: 'Breasts',
      steps: [],
      options: [],
      consumables: [],
      piles: [
        { id: 'x', name: 'breasts', kind: 'portions', expectedShare: 0.3, weighing: 'pieces', portionsPerUnit: 2 },
        { id: 'y', name: 'bones', kind: 'bones', expectedShare: null, weighing: 'whole', portionsPerUnit: null },
      ],
    },
  ],
}
const WEEK = [1, 2, 3, 4, 5, 6, 7].map((day) => ({ day, from: 480, until: 960 }))
const COOKS = ['Marit', 'Bruno'].map((name) => ({ id: name, name, wagePerHour: 20, week: WEEK, skills: null }))
const PLANNED = {
  id: 'p1',
  planId: 'plan',
  plan: 'Week',
  styleId: 'breasts',
  style: 'Breasts',
  itemId: 'duck',
  item: 'Duck',
  articleId: 'a',
  supplierId: 's',
  day: '2026-12-03',
  units: 2,
  minutes: 30,
  portions: [{ productId: 'x', product: 'Duck: breasts', quantity: 4 }],
  money: 40,
  cookId: null,
  lotId: null,
  expectedLineId: null,
  isDropped: false,
  begins: null,
  fabricationId: null,
  real: null,
}
const accepted = {
  at: '2026-12-01T09:00:00.000Z',
  draft: { from: '2026-12-02', days: 4, away: [] },
  goods: {
    cuts: [
      {
        id: 'a breasts',
        name: 'Breasts, Duck',
        styleId: 'breasts',
        wholeId: 'a',
        setUp: { value: 10, source: 'assumed' },
      },
    ],
  },
  answer: {
    use: [
      {
        product: 'x',
        day: '2026-12-04',
        quantity: 4,
        source: { kind: 'cut', cut: 'Breasts, Duck', day: '2026-12-03' },
      },
    ],
  },
  expected: [],
  planned: [PLANNED],
}
const plan = { id: 'plan', name: 'Week', version: 3, schedule: null, told: [], accepted } as unknown as Plan
const PUT = `PUT /api/kitchens/${LARCH_HALT.id}/plans/plan/schedule`
const MORNING = 1440 + 480
const schedule: Schedule = {
  status: 'best-found',
  tasks: [
    { id: 'p1 cut 1', start: MORNING, end: MORNING + 30, cook: 'Marit', station: { name: 'board', number: 1 } },
    { id: 'p1 pack 1', start: MORNING + 30, end: MORNING + 40, cook: 'Bruno', station: null },
    { id: 'p1 stock 1', start: MORNING + 30, end: MORNING + 390, cook: null, station: { name: 'stove', number: 1 } },
  ],
  cleanDowns: [],
  lateMinutes: 0,
  cleanMinutes: 0,
  holdMinutes: 0,
  bound: { lateMinutes: 0 },
  impossible: [],
}
/** What is changed is kept a moment later. */
const keptNow = async () => {
  await act(() => jest.advanceTimersByTimeAsync(450))
  await answered()
}
const tell = (told: ScheduleMessage) => act(async () => hear(told))

async function room(of: Plan = plan) {
  const sent = answerWith({ [PUT]: { body: { ...plan, version: 4 } } })
  renderPart(
    <ScheduleRoom plan={of} accepted={accepted as never} items={[ITEM] as never} cooks={COOKS} works={[]} isRead />,
  )
  await answered()
  return sent
}

test('a plan without a schedule gets one, which is kept: bars, and a list for each cook', async () => {
  const sent = await room()
  expect(asked?.request.tasks.map(({ id }) => id)).toEqual([
    ...['p1 cut 1', 'p1 pack 1', 'p1 stock-on 1', 'p1 stock 1', 'p1 stock-off 1'],
  ])
  // Half an hour before service of the day that it serves.
  expect(asked?.request.tasks[1]?.due).toBe(2 * 1440 + 18 * 60 - 30)
  await tell({ type: 'best', best: { broken: 0, late: 5, clean: 0, hold: 9 } })
  expect(screen.getByText(/Looking: 5\.0\smin late/)).toBeTruthy()
  await tell({ type: 'schedule', schedule })
  await tell({ type: 'done' })
  await keptNow()
  expect(sent.find(({ method }) => method === 'PUT')?.body).toMatchObject({
    version: 3,
    schedule: {
      tasks: [{ id: 'p1 cut 1', jobId: 'p1', what: '2 birds · Duck: breasts', cookId: 'Marit', upTo: 2 }, {}, {}],
    },
  })
  const lists = screen.getByRole('region', { name: 'Lists' })
  expect(within(lists).getByRole('heading', { name: /Marit/ })).toBeTruthy()
  expect(within(lists).getByText('pack and label · Duck: breasts')).toBeTruthy()
  expect(screen.queryByText('What does not fit')).toBeNull()
  const setUp = screen.getByRole('region', { name: 'Set-up lists' })
  expect(setUp.textContent).toContain('Mat for poultry')
  expect(setUp.textContent).toContain('Container and label: breasts Duck: breasts, about 1,440')
  await touch(screen.getByRole('button', { name: /^2 birds · Duck: breasts/ }))
  expect(screen.getByRole('link', { name: 'Start at the bench' }).getAttribute('href')).toBe('/bench?planned=p1')
})

const KINDS = ['cut', 'pack', 'stock']
const kept = {
  ...plan,
  schedule: {
    ...{ settings: USUAL_WORK, late: [], days: [] },
    tasks: schedule.tasks.map(({ cook, ...task }, index) => ({
      ...task,
      ...{ cookId: cook, jobId: 'p1', what: '', kind: KINDS[index], upTo: index === 0 ? 2 : null },
    })),
  },
} as unknown as Plan

test('a bar is moved by keys, to another cook too, and a rule that breaks is told', async () => {
  const sent = await room(kept)
  const bar = () => screen.getByRole('button', { name: /^2 birds · Duck: breasts/ })
  fireEvent.keyDown(bar(), { key: 'ArrowRight' })
  await keptNow()
  const tasks = () =>
    sent.flatMap(({ method, body }) => (method === 'PUT' ? [body as { schedule: KeptSchedule }] : [])).at(-1)?.schedule
      .tasks ?? []
  expect(tasks()[0]).toMatchObject({ start: MORNING + 5, cookId: 'Marit' })
  // Nothing goes out that is not a schedule's.
  const fields = ['cookId', 'end', 'id', 'jobId', 'kind', 'start', 'station', 'upTo', 'what']
  expect(tasks().map((task) => Object.keys(task).sort())).toEqual([fields, fields, fields])
  expect(screen.getByRole('region', { name: 'What does not fit' }).textContent).toContain('begins before the end of')
  fireEvent.keyDown(bar(), { key: 'ArrowDown' })
  await keptNow()
  expect(tasks()[0]?.cookId).toBe('Bruno')
})

test('all days stand in a strip with what is cut on each, and the day that is shown opens to its loads', async () => {
  await room(kept)
  const days = within(screen.getByRole('group', { name: 'Day' }))
  expect(days.getByRole('button').textContent).toMatch(/^Thu 3 Dec30\smin of cutting$/)
  expect(days.getAllByText('nothing')).toHaveLength(3)
  expect(days.getByRole('button').getAttribute('aria-pressed')).toBe('true')
  await touch(screen.getByRole('button', { name: /^30\smin$/ }))
  expect(screen.getByText('Cutting')).toBeTruthy()
})

test('what is done on a stove when nobody is on duty is told, with what would mend it', async () => {
  const settings = { ...USUAL_WORK, begins: 480, closes: 600 }
  await room({ ...kept, schedule: { ...(kept.schedule as KeptSchedule), settings } })
  const alert = screen.getByText(/^Nobody is on duty when this is done/)
  expect(alert.textContent).toContain('from 8:00 to 10:00: bones in the pot')
  expect(alert.textContent).toContain('leave nothing that is hot alone')
})

test('a bar that was moved a moment before the room is left is kept', async () => {
  const sent = answerWith({ [PUT]: { body: { ...plan, version: 4 } } })
  const { unmount } = renderPart(
    <ScheduleRoom plan={kept} accepted={accepted as never} items={[ITEM] as never} cooks={COOKS} works={[]} isRead />,
  )
  await answered()
  fireEvent.keyDown(screen.getByRole('button', { name: /^2 birds · Duck: breasts/ }), { key: 'ArrowRight' })
  unmount()
  await answered()
  const saved = sent.find(({ method }) => method === 'PUT')?.body as { schedule: KeptSchedule }
  expect(saved.schedule.tasks[0]?.start).toBe(MORNING + 5)
})

test('a schedule that somebody else changed is never written over: theirs is shown when one asks for it', async () => {
  const theirs = { ...kept, version: 9, schedule: { ...kept.schedule, tasks: [] } }
  const sent = answerWith({
    [PUT]: { status: 409, body: { code: 'stale-version', title: '', detail: '', issues: [], kept: '' } },
    [`GET /api/kitchens/${LARCH_HALT.id}/plans/plan`]: { body: theirs },
  })
  renderPart(
    <ScheduleRoom plan={kept} accepted={accepted as never} items={[ITEM] as never} cooks={COOKS} works={[]} isRead />,
  )
  await answered()
  fireEvent.keyDown(screen.getByRole('button', { name: /^2 birds · Duck: breasts/ }), { key: 'ArrowRight' })
  await keptNow()
  expect(screen.getByRole('alert').textContent).toContain('Somebody else has changed this schedule meanwhile')
  expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull()
  const puts = () => sent.filter(({ method }) => method === 'PUT').length
  const before = puts()
  await touch(screen.getByRole('button', { name: 'Show theirs' }))
  await keptNow()
  expect(screen.queryByRole('button', { name: /^2 birds · Duck: breasts/ })).toBeNull()
  expect(puts()).toBe(before)
})

test('the rest is replanned beside what stands, and nothing changes before it is taken', async () => {
  const sent = await room(kept)
  fireEvent.click(screen.getByLabelText('Marit'))
  await touch(screen.getByRole('button', { name: 'Reschedule what is left' }))
  expect(asked?.request.cooks.map(({ name }) => name)).toEqual(['Bruno', 'on duty'])
  const after = schedule.tasks.map((task) => ({ ...task, ...(task.cook ? { cook: 'Bruno' } : {}) }))
  await tell({ type: 'schedule', schedule: { ...schedule, tasks: after } })
  expect(screen.getByRole('region', { name: 'Before and after' }).textContent).toContain('8:00 Marit → 8:00 Bruno')
  expect(sent.some(({ method }) => method === 'PUT')).toBe(false)
  await touch(screen.getByRole('button', { name: 'Take the new one' }))
  await keptNow()
  expect(sent.some(({ method }) => method === 'PUT')).toBe(true)
})

test('what is on the board lies where it really is, and what a hand tells is told from its bar', async () => {
  const real = {
    ...{ isClosed: false, startedAt: '2026-12-03T07:20:00.000Z', lastAt: null, closedAt: null, unitsDone: 0 },
    ...{ cookId: 'Bruno', units: 2, minutes: 0, portions: [], money: 0 },
  }
  const begun = { ...accepted, planned: [{ ...PLANNED, fabricationId: 'f', real }] }
  const told = `PUT /api/kitchens/${LARCH_HALT.id}/plans/plan/told`
  const sent = answerWith({ [PUT]: { body: kept }, [told]: { body: kept } })
  renderPart(
    <ScheduleRoom
      {...{ plan: kept, accepted: begun as never, items: [ITEM] as never, cooks: COOKS, works: [], isRead: true }}
    />,
  )
  await answered()
  // It began at twenty past eight and not at eight, by another cook, and reaches until now.
  const bar = screen.getByRole('button', { name: /^2 birds · Duck: breasts, 8:20 to .*going on$/ })
  fireEvent.keyDown(bar, { key: 'ArrowRight' })
  await keptNow()
  expect(sent.some(({ method }) => method === 'PUT')).toBe(false)
  await touch(bar)
  expect(screen.getByText(/It is on the board\./)).toBeTruthy()
  await touch(screen.getByRole('button', { name: /^pack and label · Duck: breasts/ }))
  await touch(screen.getByRole('button', { name: 'Done' }))
  await answered()
  expect(sent.find(({ method }) => method === 'PUT')?.body).toMatchObject({ taskId: 'p1 pack 1', begunAt: null })
  expect(screen.getByRole('region', { name: 'What does not fit' }).textContent).toContain('begins before the end of')
})

test('what a device remembered of a plan is shown, and not scheduled before the plan was read', async () => {
  asked = null
  answerWith({})
  renderPart(
    <ScheduleRoom
      plan={plan}
      accepted={accepted as never}
      items={[ITEM] as never}
      cooks={COOKS}
      works={[]}
      isRead={false}
    />,
  )
  await answered()
  expect(screen.getByRole('heading', { name: 'Schedule' })).toBeTruthy()
  expect(asked).toBeNull()
})

test('what should have begun is told, once it has waited for some minutes', async () => {
  setClock('2026-12-03T07:20:00Z')
  await room(kept)
  const told = screen.getByRole('region', { name: 'What does not fit' }).textContent
  expect(told).toContain('2 birds · Duck: breasts should have begun at 8:00.')
  expect(told).not.toContain('pack and label should')
})

test('what cannot be done is told by its task', async () => {
  await room()
  await tell({
    type: 'schedule',
    schedule: {
      ...schedule,
      status: 'impossible',
      tasks: [],
      impossible: [{ task: 'p1 cut 1', why: 'longer-than-any-shift' }],
    },
  })
  expect(screen.getByRole('alert').textContent).toContain(
    '2 birds · Duck: breasts: it takes longer than anybody’s hours.',
  )
})

describe('hours and days', () => {
  test('minutes count by the kitchen’s own clock', () => {
    expect(minutesSince('2026-12-02', 'Europe/Vienna', new Date('2026-12-02T07:05:00Z'))).toBe(8 * 60 + 5)
    expect(minutesSince('2026-12-02', 'Europe/Vienna', new Date('2026-12-03T23:00:00Z'))).toBe(2 * 1440)
    expect([clockWords(485), clockWords(1440 + 9)]).toEqual(['8:05', '0:09'])
    const there = workCooks(COOKS, { away: ['Marit'], days: [{ cookId: 'Bruno', day: 1, shifts: [[60, 90]] }] })
    expect(there).toMatchObject([{ id: 'Bruno', days: { 1: [[60, 90]] } }])
  })

  test('a pot goes to no board, and nothing to before the plan', () => {
    const of = (id: string, by: Parameters<typeof moved>[2]) =>
      moved(schedule.tasks, id, by).find((task) => task.id === id) as PlacedTask
    expect(of('p1 stock 1', { minutes: 5, lane: { kind: 'unit', station: 'board', number: 2 } }).station?.name).toBe(
      'stove',
    )
    expect(of('p1 stock 1', { minutes: 0, lane: { kind: 'cook', name: 'Bruno' } }).cook).toBeNull()
    expect(of('p1 cut 1', { minutes: -99_999 }).start).toBe(0)
    expect(of('p1 cut 1', { minutes: 0, lane: { kind: 'unit', station: 'board', number: 2 } }).station?.number).toBe(2)
  })
})
