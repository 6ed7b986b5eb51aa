import { brokenScheduleRules } from '../../../test/check-schedule.ts'
import { loadMixedSolver } from '../../../test/solver.ts'
import { planSchedule } from '../plan-schedule.ts'
import type { PlacedTask } from '../schedule.ts'
import { MINUTES_OF_A_DAY, type PlannedJob, scheduleFaults, USUAL_WORK, type WorkCook, workPlan } from './index.ts'

const cook = (id: string, hours: WorkCook['hours'] = null): WorkCook => ({ id, name: id, wagePerHour: 20, hours })
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
  isBonded: false,
  hasBones: true,
  needsSaw: false,
  running: null,
  ...changes,
})
const WEEK = [0, 0, 3, 3, 3, 0, 0]
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
      ['pack', 14, 1, 3],
      ['stock', 7, 1, 3],
    ])
    const cuts = request.tasks.slice(0, 3)
    expect(cuts.map(({ minutes }) => minutes)).toEqual([40, 30, 10])
    expect(cuts.every(({ notBefore }) => notBefore === MINUTES_OF_A_DAY)).toBe(true)
    // Half an hour before service of the first day that it serves.
    expect(request.tasks[3]).toMatchObject({
      due: 2 * MINUTES_OF_A_DAY + 18 * 60 - 30,
      after: cuts.map(({ id }) => ({ task: id })),
    })
    expect(tasks.filter(({ isAssumed }) => isAssumed).map(({ kind }) => kind)).toEqual(['pack', 'stock'])
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

  test('who is said to cut it does, where they have the hours of that day', () => {
    const skillOf = (changes: Partial<PlannedJob>) => plan([job(changes)]).request.tasks[0]?.skill
    expect(skillOf({ cookId: 'Bruno' })).toBe('cook Bruno')
    expect(skillOf({ cookId: 'Bruno', minutes: 300 })).toBeNull()
    expect(skillOf({})).toBeNull()
  })

  test('bonded pieces set before they are packed, and a saw is a saw', () => {
    const { request, tasks } = plan([job({ isBonded: true, needsSaw: true, hasBones: false })])
    expect(tasks.map(({ kind }) => kind)).toEqual(['cut', 'cut', 'cut', 'set', 'pack'])
    expect(request.tasks.map(({ station }) => station)).toEqual(['saw', 'saw', 'saw', null, null])
    expect(request.tasks[3]).toMatchObject({ minutes: 480, needs: 'nobody' })
    expect(plan([job({ needsSaw: true })], { settings: { ...USUAL_WORK, saws: 0 } }).request.tasks[0]?.station).toBe(
      'board',
    )
  })

  test('what is on the board keeps its place; the rest begins no earlier than now', () => {
    const running = { start: MINUTES_OF_A_DAY + 500, cookId: 'Marit' }
    const now = MINUTES_OF_A_DAY + 520
    const { request, held } = plan([job({ running }), job({ id: 'char', species: 'fish' })], { now })
    expect(held).toEqual([{ id: 'duck cut 1', start: running.start, cook: 'Marit', unit: 0 }])
    expect(request.tasks.find(({ id }) => id === 'char cut 1')?.notBefore).toBe(now)
    expect(request.tasks.find(({ id }) => id === 'duck cut 1')?.notBefore).toBe(0)
  })

  test('it can be scheduled, and what is scheduled breaks no rule', async () => {
    const work = plan([job(), job({ id: 'char', species: 'fish', units: 6, minutes: 61 })])
    const schedule = planSchedule(work.request, await loadMixedSolver(), { seconds: 1 })
    expect(schedule.lateMinutes).toBe(0)
    expect(brokenScheduleRules(work.request, schedule)).toEqual([])
    expect(scheduleFaults(work.request, schedule.tasks)).toEqual([])
  })
})

describe('rules that a hand breaks', () => {
  const { request } = plan([
    job({ hasBones: false }),
    job({ id: 'char', species: 'fish', units: 1, minutes: 20, hasBones: false }),
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
  })

  test('what fits breaks nothing: fish before poultry with its ten minutes between', () => {
    expect(told(at('char cut 1', DAY + 480), at('duck cut 1', DAY + 510))).toEqual([])
  })
})
