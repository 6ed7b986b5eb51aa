import { addDays } from '@fleam/core/calendar'
import type { PlanGoods } from '@fleam/core/planning'
import type { DaySchedule, Plan, StylesWork } from '@fleam/core/plans'
import { USUAL_WORK } from '@fleam/core/scheduling'
import { v7 as newId } from 'uuid'
import { send, type TestApp } from '../../test/harness.ts'
import { FIRST, openPlanKitchen, type PlanKitchen } from '../../test/plan-kitchen.ts'

let test_: TestApp
let goods: PlanGoods
let path: PlanKitchen['path']
let draft: PlanKitchen['draft']
let answerFor: PlanKitchen['answerFor']
let create: PlanKitchen['create']

beforeAll(async () => {
  ;({ test: test_, goods, path, draft, answerFor, create } = await openPlanKitchen())
})
afterAll(() => test_.close())

test('a schedule is kept with its plan: who begins what when is said of what is planned', async () => {
  const settings = {
    ...{ boards: 2, saws: 1, stoves: 2, begins: 480, service: 1080, buffer: 30, boardMinutes: 30, packMinutes: 10 },
    ...{ setHours: 8, stockHours: 6, cleanDown: 10, against: 20 },
  }
  const cook = { id: newId(), name: 'Thessaly', wagePerHour: 21.4, week: null, skills: null }
  await send(test_, 'POST', path('/cooks'), cook)
  const plan = await create()
  const put = (version: number, tasks: object[]) =>
    send(test_, 'PUT', path(`/plans/${plan.id}/schedule`), {
      version,
      schedule: { settings, late: [], days: [], tasks },
    })
  expect((await put(1, [])).body.issues[0].message).toBe('is not accepted: there is nothing to do yet')
  const answer = await answerFor(draft())
  const accepted = await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), {
    version: 1,
    draft: draft(),
    goods,
    answer,
  })
  const planned = (accepted.body as Plan).accepted?.planned[0]
  const task = (id: string, start: number, kind = 'cut') => ({
    ...{ id, jobId: planned?.id, what: 'Supremes', kind, upTo: kind === 'cut' ? 3 : null },
    ...{ start, end: start + 30, cookId: cook.id, station: null },
  })
  const kept = await put(2, [task('b', 1440 + 520, 'pack'), task('a', 1440 + 490)])
  expect((kept.body as Plan).schedule?.tasks).toHaveLength(2)
  expect((kept.body as Plan).accepted?.planned[0]).toMatchObject({
    begins: { day: addDays(FIRST, 1), minute: 490, cookId: cook.id },
    cookId: null,
  })
  const calendar = (suffix: string) =>
    test_.app.inject({ method: 'GET', url: path(`/plans/${plan.id}/schedule.ics${suffix}`) })
  const own = await calendar(`?cook=${cook.id}`)
  expect(own.headers['content-type']).toContain('text/calendar')
  expect(own.body.match(/BEGIN:VEVENT/g)).toHaveLength(2)
  expect((await calendar(`?cook=${newId()}`)).statusCode).toBe(404)
  const paper = (query: string) =>
    test_.app.inject({ method: 'GET', url: path(`/plans/${plan.id}/schedule.pdf${query}`) })
  const sizes = { '': /595\.28 841\.89/, '?paper=LETTER': /612 792/, [`?cook=${cook.id}&paper=A4`]: /595\.28 841\.89/ }
  for (const [query, size] of Object.entries(sizes)) {
    const printed = await paper(query)
    expect([printed.statusCode, printed.headers['content-type']]).toEqual([200, 'application/pdf'])
    expect(printed.rawPayload.toString('latin1')).toMatch(size)
  }
  expect((await paper(`?cook=${newId()}`)).statusCode).toBe(404)
  expect((await put(2, [])).status).toBe(409)
  await followed({ plan, cookId: cook.id, day: addDays(FIRST, 1) })
  const standing = async () => (await send(test_, 'GET', path('/schedules'))).body
  expect(await standing()).toEqual([{ planId: plan.id, lateMinutes: 0 }])
  // It serves on the second day, half an hour before six: packed at seven it is an hour and a half late.
  await put(3, [task(`${planned?.id} pack 1`, 1440 + 1110, 'pack')])
  expect(await standing()).toEqual([{ planId: plan.id, lateMinutes: 90 }])
  await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=4`))
  expect(await standing()).toEqual([])
  expect((await send(test_, 'GET', path(`/plans/${plan.id}`))).body.schedule).toBeNull()
})

/** What hands tell moves the tasks of a day, without meeting what is changed in the room of the schedule. */
async function followed({ plan, cookId, day }: { plan: Plan; cookId: string; day: string }) {
  const dayNow = async (): Promise<DaySchedule> =>
    (await send(test_, 'GET', path(`/day-schedule?day=${day}`))).body as DaySchedule
  const { tasks } = await dayNow()
  expect(tasks.map(({ id, state, start, end }) => [id, state, start, end])).toEqual([
    ['a', 'waiting', 490, 520],
    ['b', 'waiting', 520, 550],
  ])
  expect(tasks[0]).toMatchObject({ planId: plan.id, what: 'Supremes', cookId, fabricationId: null })
  const tell = (told: object) => send(test_, 'PUT', path(`/plans/${plan.id}/told`), told)
  const at = (minute: string) => `${day}T${minute}:00.000Z`
  const done = await tell({ taskId: 'b', begunAt: at('08:00'), doneAt: at('08:12') })
  expect([done.status, done.body.told, done.body.version]).toEqual([
    200,
    [{ taskId: 'b', begunAt: at('08:00'), doneAt: at('08:12') }],
    3,
  ])
  // By the clock of the kitchen it is an hour later in winter.
  expect((await dayNow()).tasks.find(({ id }) => id === 'b')).toMatchObject({ state: 'done', start: 540, end: 552 })
  expect((await tell({ taskId: 'z', begunAt: null, doneAt: null })).body.issues[0].path).toBe('taskId')
  expect((await tell({ taskId: 'b', begunAt: at('09:00'), doneAt: at('08:12') })).body.issues[0].path).toBe('doneAt')
  await tell({ taskId: 'b', begunAt: null, doneAt: null })
  expect((await dayNow()).tasks.every(({ state }) => state === 'waiting')).toBe(true)
}

test('what a style takes before and after the board is kept with it', async () => {
  const plan = await create()
  const answer = await answerFor(draft())
  await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), { version: 1, draft: draft(), goods, answer })
  const read = async () => (await send(test_, 'GET', path(`/plans/${plan.id}/work`))).body as StylesWork
  const [known] = await read()
  expect(known).toMatchObject({ work: null, minutesBy: [] })
  const work = {
    ...{ isFrozen: true, dryHours: 12, temperHours: 0, setHours: 0, cureHours: 0 },
    ...{ confitHours: 0, chillHours: 0, stockHours: 6, line: 3, carriers: 1 },
  }
  const put = (styleId: string | undefined, said: object) => send(test_, 'PUT', path(`/styles/${styleId}/work`), said)
  expect((await put(known?.styleId, work)).body).toEqual(work)
  expect((await read())[0]?.work).toEqual(work)
  expect((await put(known?.styleId, { ...work, line: 0 })).body.issues[0].path).toBe('line')
  expect((await put(newId(), work)).status).toBe(404)
  await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=2`))
})

test('what of the cooks’ hours is cutting is learnt from schedules that were made, three of them at least', async () => {
  const shareNow = async () =>
    ((await send(test_, 'GET', path(`/plan-goods?products=${goods.products[0]?.id}`))).body as PlanGoods).boardShare
  const cook = { id: newId(), name: 'Casimir', wagePerHour: 21.4, week: null, skills: null }
  await send(test_, 'POST', path('/cooks'), cook)
  for (const at of [0, 1, 2]) {
    expect(await shareNow()).toEqual({ value: 1, schedules: 0 })
    const asked = draft({
      lotsLeft: [],
      from: addDays(FIRST, 7 * (at + 1)),
      covers: [{ day: addDays(FIRST, 7 * (at + 1) + 1), covers: 40 }],
    })
    const plan = await create(asked)
    const answer = await answerFor(asked)
    const accepted = (
      await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), { version: 1, draft: asked, goods, answer })
    ).body as Plan
    const cutting = answer.cutting.reduce((sum, { minutes }) => sum + minutes, 0)
    const jobId = accepted.accepted?.planned[0]?.id
    const task = (kind: string, minutes: number, cookId: string | null) => ({
      ...{
        id: `${jobId} ${kind} 1`,
        jobId,
        what: kind,
        kind,
        upTo: null,
        start: 480,
        end: 480 + minutes,
        cookId,
        station: null,
      },
    })
    // A quarter of what the cook does is no cutting; what falls to whoever is on duty is not theirs.
    const tasks = [task('cut', cutting, cook.id), task('pack', cutting / 3, cook.id), task('stock-off', 10, null)]
    const schedule = { settings: USUAL_WORK, late: [], days: [], tasks }
    expect((await send(test_, 'PUT', path(`/plans/${plan.id}/schedule`), { version: 2, schedule })).status).toBe(200)
  }
  const { value, schedules } = await shareNow()
  expect([Math.round(value * 1e6) / 1e6, schedules]).toEqual([0.75, 3])
})
