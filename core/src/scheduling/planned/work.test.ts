import { brokenScheduleRules } from '../../../test/check-schedule.ts'
import { loadSolver } from '../../../test/solver.ts'
import { planSchedule } from '../plan-schedule.ts'
import type { HeldTask, PlacedTask } from '../schedule.ts'
import { followTasks, type JobProgress, soonestPlaces } from './follow.ts'
import {
  type CookShift,
  type KeptTask,
  MINUTES_OF_A_DAY,
  type PlannedJob,
  placedAsTheyAre,
  placedInOrder,
  scheduleFaults,
  USUAL_WORK,
  usualStyleWork,
  type WorkCook,
  withBegun,
  workPlan,
} from './index.ts'

const cook = (id: string, week: WorkCook['week'] = null, skills: WorkCook['skills'] = null): WorkCook => ({
  ...{ id, week, skills, days: {} },
})
const work = (isBonded: boolean, hasBones: boolean) => usualStyleWork({ isBonded, hasBones }, USUAL_WORK)
const job = (changes: Partial<PlannedJob> = {}): PlannedJob => ({
  id: 'duck',
  itemId: 'duck',
  styleId: 'breasts',
  name: 'Duck: breasts',
  species: 'poultry',
  unitName: { one: 'bird', many: 'birds' },
  units: 7,
  day: '2026-12-03',
  minutes: 80,
  setUp: 10,
  cookId: null,
  serves: '2026-12-04',
  portions: 14,
  unitGrams: 2400,
  work: work(false, true),
  needsSaw: false,
  steps: [],
  minutesBy: {},
  comes: null,
  progress: null,
  ...changes,
})
const WEEK: CookShift[] = [3, 4, 5].map((day) => ({ day, from: 480, until: 660 }))
/** Wed 2 Dec 2026 and three days more. */
const plan = (jobs: readonly PlannedJob[], changes: Partial<Parameters<typeof workPlan>[1]> = {}) =>
  workPlan(jobs, {
    from: '2026-12-02',
    days: 4,
    cooks: [cook('Marit', WEEK), cook('Bruno', WEEK)],
    settings: USUAL_WORK,
    now: 0,
    ...changes,
  })

describe('tasks of planned work', () => {
  test('whole units in loads that are back in the cold in time; then packed, and the bones into a pot', () => {
    const { request, tasks } = plan([job()])
    // Ten minutes a bird: three at once in half an hour.
    expect(tasks.map(({ kind, units, load, loads }) => [kind, units, load, loads])).toEqual([
      ['cut', 3, 1, 3],
      ['cut', 3, 2, 3],
      ['cut', 1, 3, 3],
      ['pack', 14, 1, 1],
      ['stock-on', 7, 1, 1],
      ['stock', 7, 1, 1],
      ['stock-off', 7, 1, 1],
    ])
    const cuts = request.tasks.slice(0, 3)
    expect(cuts.map(({ minutes }) => minutes)).toEqual([40, 30, 10])
    expect(cuts.every(({ notBefore }) => notBefore === MINUTES_OF_A_DAY)).toBe(true)
    // Half an hour before service of the first day that it serves.
    expect(request.tasks[3]).toMatchObject({
      due: 2 * MINUTES_OF_A_DAY + 18 * 60 - 30,
      after: cuts.map(({ id }) => ({ task: id })),
    })
    expect(tasks.filter(({ isAssumed }) => isAssumed).map(({ kind }) => kind)).toEqual([
      'pack',
      'stock-on',
      'stock',
      'stock-off',
    ])
  })

  test('cooks stand there in the hours of their week; where nobody says any, all day', () => {
    const shifts = (cooks: WorkCook[]) => plan([], { cooks }).request.cooks.map((each) => each.shifts)
    expect(shifts([cook('Marit', WEEK)])).toEqual([
      [
        [480, 660],
        [MINUTES_OF_A_DAY + 480, MINUTES_OF_A_DAY + 660],
        [2 * MINUTES_OF_A_DAY + 480, 2 * MINUTES_OF_A_DAY + 660],
      ],
    ])
    expect(shifts([cook('A')])[0]).toHaveLength(4)
    // Who says nothing while others do is not there.
    expect(shifts([cook('Marit', WEEK), cook('A')])[1]).toEqual([])
  })

  test('a day of the plan may be otherwise than the week', () => {
    const cooks = [{ ...cook('Marit', WEEK), days: { 1: [], 2: [[600, 960] as const] } }, cook('Bruno', WEEK)]
    expect(plan([], { cooks }).request.cooks[0]?.shifts).toEqual([
      [480, 660],
      [2 * MINUTES_OF_A_DAY + 600, 2 * MINUTES_OF_A_DAY + 960],
    ])
    // She is not there on its day: whoever may cut poultry does.
    expect(plan([job({ cookId: 'Marit' })], { cooks }).request.tasks[0]?.skill).toBe('poultry')
  })

  test('who is said to cut it does, where they have the hours of that day', () => {
    const skillOf = (changes: Partial<PlannedJob>) => plan([job(changes)]).request.tasks[0]?.skill
    expect(skillOf({ cookId: 'Bruno' })).toBe('cook Bruno')
    expect(skillOf({ cookId: 'Bruno', minutes: 300 })).toBe('poultry')
    expect(skillOf({})).toBe('poultry')
    // Whoever began it: others may go on with it.
    const progress = { start: 0, unitsDone: 0, lastAt: null, end: null, cook: 'Bruno' }
    expect(skillOf({ progress })).toBe('poultry')
    expect(skillOf({ progress, cookId: 'Bruno', minutes: 300 })).toBe('poultry')
  })

  test('bonded pieces set before they are packed, and a saw is a saw', () => {
    const { request, tasks } = plan([job({ work: work(true, false), needsSaw: true })])
    expect(tasks.map(({ kind }) => kind)).toEqual(['cut', 'cut', 'cut', 'set', 'pack'])
    expect(request.tasks.map(({ station }) => station)).toEqual(['saw', 'saw', 'saw', null, null])
    expect(request.tasks[3]).toMatchObject({ minutes: 480, needs: 'nobody' })
    expect(plan([job({ needsSaw: true })], { settings: { ...USUAL_WORK, saws: 0 } }).request.tasks[0]?.station).toBe(
      'board',
    )
  })

  test('what is left begins no earlier than now, and what waits for a delivery no earlier than it comes', () => {
    const now = MINUTES_OF_A_DAY + 520
    const { request } = plan([job(), job({ id: 'char', species: 'fish', comes: 2 * MINUTES_OF_A_DAY })], { now })
    const notBefore = (id: string) => request.tasks.find((task) => task.id === id)?.notBefore
    expect(notBefore('duck cut 1')).toBe(now)
    expect(notBefore('char cut 1')).toBe(2 * MINUTES_OF_A_DAY)
  })

  test('it can be scheduled, and what is scheduled breaks no rule', async () => {
    const asked = plan([job(), job({ id: 'char', species: 'fish', units: 6, minutes: 61 })])
    const schedule = planSchedule(asked.request, await loadSolver(), { seconds: 1 })
    expect(schedule.lateMinutes).toBe(0)
    expect(brokenScheduleRules(asked.request, schedule)).toEqual([])
    expect(scheduleFaults(asked.request, schedule.tasks)).toEqual([])
  })
})

describe('before and after the board', () => {
  const kinds = (changes: Partial<PlannedJob['work']>, more: Partial<PlannedJob> = {}) => {
    const { request, tasks } = plan([
      job({ units: 1, minutes: 35, work: { ...work(false, false), ...changes }, ...more }),
    ])
    return tasks.map(({ kind }, at) => [kind, request.tasks[at]?.minutes])
  }

  test('frozen birds thaw about a day for two kilograms, are dried and tempered, then cut', () => {
    expect(kinds({ isFrozen: true, dryHours: 24, temperHours: 0.5 })).toEqual([
      ['thaw', 2.4 * 12 * 60],
      ['dry', 1440],
      ['temper', 30],
      ['cut', 35],
      ['pack', 10],
    ])
  })

  test('bonded, cured, in hot fat, cooled: one after the other, and then packed', () => {
    const { request, tasks } = plan([
      job({ units: 1, minutes: 35, work: { ...work(true, true), cureHours: 12, confitHours: 3, chillHours: 2 } }),
    ])
    expect(tasks.map(({ kind }) => kind)).toEqual([
      ...['cut', 'set', 'cure', 'confit-on', 'confit', 'confit-off', 'chill', 'pack'],
      ...['stock-on', 'stock', 'stock-off'],
    ])
    const chain = request.tasks.map(({ after }) => after.map(({ task }) => task.split(' ')[1]))
    expect(chain).toEqual([
      ...[[], ['cut'], ['set'], ['cure'], ['confit-on'], ['confit'], ['confit-off'], ['chill']],
      ...[['cut'], ['stock-on'], ['stock']],
    ])
    expect(
      request.tasks.flatMap(({ station, id }) => (station === null ? [] : [`${station} ${id.split(' ')[1]}`])),
    ).toEqual([...['board cut', 'stove confit', 'stove stock']])
  })

  test('each load is tempered by itself, and is cut before it is warm', () => {
    const { request } = plan([job({ work: { ...work(false, false), temperHours: 0.5 } })])
    const cuts = request.tasks.filter(({ id }) => id.includes('cut'))
    // Three birds are half an hour of cutting: they wait for nothing, and are laid out for while they stand there.
    expect(cuts.map(({ after }) => after[0])).toEqual([
      { task: 'duck temper 1', lag: -10, within: 0 },
      { task: 'duck temper 2', lag: 0, within: 0 },
      { task: 'duck temper 3', lag: 0, within: 20 },
    ])
  })

  test('a line shares the steps of every bird: each is handed on at once, and all go along it in one run', () => {
    const cooks = ['A', 'B', 'C'].map((id) => cook(id, WEEK))
    const { tasks, request } = plan([job({ work: { ...work(false, false), line: 2 } })], { cooks })
    // Seven birds of ten minutes: half of each bird by each of two cooks, another bird every five minutes.
    const cuts = tasks.filter(({ kind }) => kind === 'cut')
    expect(cuts.map(({ units, part, upTo }) => [units, part?.number, upTo])).toEqual([
      [7, 1, 7],
      [7, 2, 7],
    ])
    expect(request.tasks.slice(0, 2).map(({ minutes }) => minutes)).toEqual([45, 35])
    expect(new Set(request.tasks.slice(0, 2).map(({ skill }) => skill)).size).toBe(2)
    // The first bird is handed on after its five minutes; each of them may wait twenty in all.
    expect(request.tasks[1]?.after).toEqual([{ task: 'duck cut 1 1', lag: -30, within: 20 }])
    expect(tasks[0]).toMatchObject({ loads: 1, isAssumed: true })
  })

  test('no more cooks stand in a line than there are boards, nor longer than they are there together', () => {
    const cooks = [cook('A', WEEK), cook('B', [{ day: 4, from: 480, until: 540 }]), cook('C', WEEK)]
    const partsOf = (line: number, boards: number) =>
      plan([job({ units: 14, minutes: 150, work: { ...work(false, false), line } })], {
        ...{ cooks, settings: { ...USUAL_WORK, boards } },
      }).tasks.flatMap(({ kind, part, units }) => (kind === 'cut' ? [[part?.of ?? 1, units]] : []))
    expect(partsOf(3, 2)).toEqual(Array.from({ length: 2 }, () => [2, 14]))
    expect(partsOf(3, 1)[0]).toEqual([1, 3])
    // B has an hour: fourteen birds need ten minutes to lay out, and another bird every three and a third.
    expect(partsOf(3, 3)).toEqual([
      ...Array.from({ length: 3 }, () => [3, 7]),
      ...Array.from({ length: 3 }, () => [3, 7]),
    ])
  })

  test('no minute out of the cold, twenty in a line, a delivery of long ago: told or done, and nothing hangs', () => {
    const cooks = Array.from({ length: 20 }, (_, at) => cook(`cook ${at}`, WEEK))
    const none = plan([job()], { settings: { ...USUAL_WORK, boardMinutes: 0 } })
    expect([none.tooWarm, none.tasks]).toEqual([['duck'], []])
    const line = job({ units: 14, minutes: 150, work: { ...work(false, false), line: 20 } })
    const { tasks } = plan([line], { cooks, settings: { ...USUAL_WORK, boards: 20 } })
    expect(tasks.flatMap(({ kind, part }) => (kind === 'cut' ? [part?.of] : [])).length).toBe(20)
    const late = plan([job({ comes: -99_999 })], { now: 500 })
    expect(late.request.tasks.every(({ notBefore }) => notBefore >= 500)).toBe(true)
  })

  test('whoever is named cuts by their own minutes, where those are known', () => {
    const minutes = (cookId: string) =>
      plan([job({ units: 2, minutes: 30, setUp: 10, cookId, minutesBy: { Marit: 7 } })]).request.tasks[0]?.minutes
    expect(minutes('Marit')).toBe(24)
    expect(minutes('Bruno')).toBe(30)
  })

  test('who may not cut it does not', () => {
    const skills = plan([job()], { cooks: [cook('A', WEEK, ['fish']), cook('B', WEEK)] }).request.cooks.map(
      (each) => each.skills,
    )
    expect(skills).toEqual([['cook A', 'fish'], ['cook B', 'fish', 'red-meat', 'poultry'], ['on duty']])
  })
})

test('loads that are alike come in the order of their numbers, and say how far they bring the job', () => {
  const asked = plan([job({ units: 9, minutes: 100, setUp: 10 })])
  // Three birds each: whichever comes first is laid out with it.
  const at = (id: string, start: number, minutes: number): PlacedTask => ({
    ...{ id: `duck ${id}`, start, end: start + minutes, cook: 'Marit', station: { name: 'board', number: 1 } },
  })
  const placed = [at('cut 1', 30, 40), at('cut 2', 70, 30), at('cut 3', 0, 30), at('pack 1', 200, 10)]
  expect(placedInOrder(asked, placed).map(({ id, start, upTo }) => [id, start, upTo])).toEqual([
    ['duck cut 2', 30, 6],
    ['duck cut 3', 70, 9],
    ['duck cut 1', 0, 3],
    ['duck pack 1', 200, null],
  ])
  // Moved by hand each keeps its number.
  expect(placedAsTheyAre(asked, placed).map(({ id, upTo }) => [id, upTo])).toEqual([
    ['duck cut 1', 6],
    ['duck cut 2', 9],
    ['duck cut 3', 3],
    ['duck pack 1', null],
  ])
})

test('a load keeps its parts together when it is numbered anew', () => {
  // Forty minutes a bird: twice at the board, and back in the cold between.
  const asked = plan([job({ units: 2, minutes: 90, setUp: 10, work: work(false, false) })])
  const starts = { 'cut 1 1': 160, 'cold 1 1': 180, 'cut 1 2': 190, 'cut 2 1': 0, 'cold 2 1': 30, 'cut 2 2': 40 }
  const placed = Object.entries(starts).map(
    ([id, start]): PlacedTask => ({
      ...{ id: `duck ${id}`, start, end: start + 15, cook: id.startsWith('cut') ? 'A' : null, station: null },
    }),
  )
  const ordered = Object.fromEntries(placedInOrder(asked, placed).map((each) => [each.id, each]))
  expect(ordered['duck cut 1 1']).toMatchObject({ start: 0, upTo: 1 })
  expect(ordered['duck cold 1 1']).toMatchObject({ start: 30, upTo: 1 })
  expect(ordered['duck cut 1 2']).toMatchObject({ start: 40, upTo: 1 })
  expect(ordered['duck cut 2 2']).toMatchObject({ start: 190, upTo: 2 })
})

describe('the schedule follows the bench', () => {
  const kept = (id: string, start: number, end: number, changes: Partial<KeptTask> = {}): KeptTask => ({
    ...{ id, start, end, jobId: 'duck', kind: 'cut', upTo: null, begun: null, done: null },
    ...{ cook: 'Marit', station: { name: 'board', number: 2 }, ...changes },
  })
  const TASKS = [
    kept('cut 1', 500, 540, { upTo: 3 }),
    kept('cut 2', 540, 570, { upTo: 6 }),
    kept('cut 3', 600, 610, { upTo: 7 }),
    kept('pack', 700, 710, { kind: 'pack', station: null }),
    kept('stock', 610, 970, { kind: 'stock', cook: null, station: { name: 'stove', number: 1 } }),
  ]
  const follow = (progress: Parameters<typeof followTasks>[1], now: number, tasks = TASKS) =>
    followTasks(tasks, progress, now).map(({ id, state, start, end, cook: by }) => [id, state, start, end, by])

  test('nothing begun: everything stands where it was placed', () => {
    expect(follow(() => null, 520).map(([, state, start]) => [state, start])).toEqual(
      TASKS.map(({ start }) => ['waiting', start]),
    )
  })

  test('the loads that are weighed lie where they were cut, the one on the board reaches until now', () => {
    const progress = { start: 520, unitsDone: 4, lastAt: 580, end: null, cook: 'Bruno' }
    expect(follow(() => progress, 620)).toEqual([
      ['cut 1', 'done', 520, 580, 'Bruno'],
      ['cut 2', 'running', 580, 620, 'Bruno'],
      ['cut 3', 'waiting', 600, 610, 'Marit'],
      ['pack', 'waiting', 700, 710, 'Marit'],
      ['stock', 'waiting', 610, 970, null],
    ])
  })

  test('a load that no line cuts is cut by who is at the board, whoever was to', () => {
    const progress = { start: 520, unitsDone: 4, lastAt: 580, end: null, cook: 'Bruno' }
    const shared = TASKS.map((task) => (task.id === 'cut 2' ? { ...task, cook: 'Casimir' } : task))
    expect(follow(() => progress, 620, shared).map(([, , , , by]) => by)).toEqual([
      'Marit',
      'Bruno',
      'Marit',
      'Marit',
      null,
    ])
  })

  test('what should have begun ends later, and what waits for it too; what is over stays', () => {
    const tasks = ['cut 1', 'cut 2', 'pack', 'stock'].map((id, at) => ({
      ...{ id, job: 'duck', minutes: 0, needs: 'cook' as const, skill: null, station: null, species: null },
      ...{
        after: at === 0 ? [] : [{ task: ['cut 1', 'cut 1', 'cut 2', 'cut 2'][at] as string, lag: 5, within: null }],
      },
      ...{ notBefore: 0, due: null },
    }))
    const soonest = (now: number, progress: JobProgress | null = null) =>
      soonestPlaces(
        { tasks },
        followTasks(TASKS, () => progress, now),
        now,
      ).map(({ id, start, end }) => [id, start, end])
    expect(soonest(490)).toEqual([
      ['cut 1', 500, 540],
      ['cut 2', 545, 575],
      ['cut 3', 600, 610],
      ['pack', 700, 710],
      ['stock', 610, 970],
    ])
    expect(soonest(680).slice(0, 2)).toEqual([
      ['cut 1', 680, 720],
      ['cut 2', 725, 755],
    ])
    expect(soonest(680)[3]).toEqual(['pack', 760, 770])
    const begun = { start: 520, unitsDone: 4, lastAt: 580, end: null, cook: 'Bruno' }
    expect(soonest(620, begun)[0]).toEqual(['cut 1', 520, 580])
  })

  test('finished: the pot begins when the cutting was over, packing waits for a hand', () => {
    const progress = { start: 500, unitsDone: 7, lastAt: 650, end: 660, cook: 'Marit' }
    const told = follow(() => progress, 700)
    expect(told.slice(0, 3).map(([, state]) => state)).toEqual(['done', 'done', 'done'])
    expect(told[2]?.[3]).toBe(660)
    expect(told[3]?.[1]).toBe('waiting')
    expect(told[4]).toEqual(['stock', 'running', 660, 1020, null])
    const packed = follow(
      () => progress,
      720,
      TASKS.map((task) => (task.id === 'pack' ? { ...task, begun: 702, done: 715 } : task)),
    )
    expect(packed[3]).toEqual(['pack', 'done', 702, 715, 'Marit'])
  })

  test('what has begun is held where it is when the rest is made anew', async () => {
    const now = MINUTES_OF_A_DAY + 540
    const asked = plan([job()], { now })
    const start = MINUTES_OF_A_DAY + 500
    const first = asked.request.tasks[0]
    const tasks = asked.tasks.map(
      ({ id, jobId, kind, upTo }): KeptTask => ({
        ...{ id, jobId, kind, upTo, begun: null, done: null, cook: 'Marit', station: { name: 'board', number: 2 } },
        ...{ start: MINUTES_OF_A_DAY + 480, end: MINUTES_OF_A_DAY + 480 + (id === first?.id ? 40 : 30) },
      }),
    )
    const progress = { start, unitsDone: 0, lastAt: null, end: null, cook: 'Marit' }
    const { request, held } = withBegun(
      asked,
      followTasks(tasks, () => progress, now),
    )
    expect(held).toEqual([{ id: 'duck cut 1', start, cook: 'Marit', unit: 1 }])
    const schedule = planSchedule(request, await loadSolver(), { seconds: 1, held })
    expect(schedule.tasks[0]).toMatchObject({ start, end: start + 40, cook: 'Marit' })
    expect(schedule.tasks.slice(1, 3).every((task) => task.start >= now)).toBe(true)
  })
})

describe('rules that a hand breaks', () => {
  const { request } = plan([
    job({ work: work(false, false) }),
    job({ id: 'char', species: 'fish', units: 1, minutes: 20, work: work(false, false) }),
  ])
  const DAY = MINUTES_OF_A_DAY
  const at = (id: string, start: number, changes: Partial<PlacedTask> = {}): PlacedTask => {
    const minutes = request.tasks.find((task) => task.id === id)?.minutes ?? 0
    return { id, start, end: start + minutes, cook: 'Marit', station: { name: 'board', number: 1 }, ...changes }
  }
  const told = (...placed: PlacedTask[]) =>
    scheduleFaults(request, placed).map((fault) => [fault.task, fault.rule, fault.with])

  test.each([
    ['outside-shift', [at('duck cut 1', DAY + 700)], null],
    ['wrong-cook', [at('duck cut 1', DAY + 480, { cook: 'Nobody' })], null],
    ['too-early', [at('duck cut 1', 480)], null],
    ['late', [at('duck pack 1', 2 * DAY + 18 * 60, { station: null })], null],
    [
      'cook-busy',
      [at('duck cut 1', DAY + 480), at('duck cut 2', DAY + 500, { station: { name: 'board', number: 2 } })],
      'duck cut 2',
    ],
    ['station-busy', [at('duck cut 1', DAY + 480), at('duck cut 2', DAY + 500, { cook: 'Bruno' })], 'duck cut 2'],
    [
      'before-another',
      [at('duck cut 1', DAY + 500), at('duck pack 1', DAY + 480, { station: null, cook: 'Bruno' })],
      'duck cut 1',
    ],
    ['not-cleaned', [at('duck cut 1', DAY + 480), at('char cut 1', DAY + 525)], 'duck cut 1'],
  ] as const)('%s is told', (rule, placed, other) => {
    const faults = told(...placed).filter(([, each]) => each === rule)
    expect(faults).toHaveLength(1)
    expect(faults[0]?.[2]).toBe(other)
  })

  test('what has begun is where it is', () => {
    const held = [{ id: 'duck cut 1', start: 480, cook: 'Marit', unit: 0 }]
    expect(scheduleFaults(request, [at('duck cut 1', 300)], held)).toEqual([])
    // What meets it is told of what can still be moved, and two that have begun meet without a word.
    const meets = [at('duck cut 1', DAY + 480), at('char cut 1', DAY + 500)]
    const busy = scheduleFaults(request, meets, held).filter(({ rule }) => rule === 'cook-busy')
    expect(busy).toEqual([{ task: 'char cut 1', rule: 'cook-busy', with: 'duck cut 1' }])
    expect(scheduleFaults(request, meets, [...held, { ...(held[0] as HeldTask), id: 'char cut 1' }])).toEqual([])
  })

  test('what fits breaks nothing: fish before poultry with its ten minutes between', () => {
    expect(told(at('char cut 1', DAY + 480), at('duck cut 1', DAY + 510))).toEqual([])
  })
})
