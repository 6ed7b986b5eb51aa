import fc from 'fast-check'
import cases from '../../cases/schedule.json'
import { brokenScheduleRules } from '../../test/check-schedule.ts'
import { loadSolver } from '../../test/solver.ts'
import type { SolveProgramme } from '../solving/index.ts'
import { planSchedule, type ScheduleRequest, type ScheduleTask } from './index.ts'
import { scheduleRequest } from './schedule.ts'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await loadSolver()
})

const read = (said: object): ScheduleRequest => scheduleRequest.parse({ format: 'fleam/schedule', version: 1, ...said })

test.each(cases.map((testCase) => [testCase.name, testCase] as const))(
  '%s: no late minute, and no more cleaning than is known to be enough',
  (_name, { input, expect: known }) => {
    const request = read(input)
    const schedule = planSchedule(request, solve)
    expect(brokenScheduleRules(request, schedule)).toEqual([])
    expect(schedule.lateMinutes).toBe(known.lateMinutes)
    expect(schedule.cleanMinutes).toBeLessThanOrEqual(known.cleanMinutes)
  },
  20_000,
)

test('minutes that are no whole ones do not keep it looking for ever', () => {
  // After 20.28… minutes and ten of cleaning, less those ten, a start lay a hair before the end that it followed.
  const thirds = [30.283333333375, 20.283333333375, 38.1625, 28.1625, 35.3333333332, 16.8888888888]
  const request = little({
    horizon: 600,
    tasks: thirds.map((minutes, index) => ({ minutes, species: index % 2 === 0 ? 'poultry' : 'fish' })),
    cooks: 2,
    boards: 2,
    clean: [10, 20],
  })
  const schedule = planSchedule(request, solve, { seconds: 1, patience: 300 })
  expect(brokenScheduleRules(request, schedule)).toEqual([])
})

test('many chains that must follow at once, each part by its own cook, are found', () => {
  const [chains, parts] = [15, 4]
  const request = read({
    horizon: 480,
    cooks: Array.from({ length: parts }, (_, index) => ({
      name: `c${index}`,
      skills: [`part ${index}`],
      shifts: [[0, 480]],
    })),
    stations: [{ name: 'board', count: parts }],
    species: { order: ['poultry'], cleanDown: 10, against: 20 },
    tasks: Array.from({ length: chains * parts }, (_, place) => {
      const [chain, part] = [Math.floor(place / parts), place % parts]
      return {
        ...{
          id: `${chain} ${part}`,
          job: 'birds',
          minutes: place === 0 ? 16 : 6,
          needs: 'cook',
          skill: `part ${part}`,
        },
        ...{ station: 'board', species: 'poultry' },
        after: part === 0 ? [] : [{ task: `${chain} ${part - 1}`, lag: 0, within: 1 }],
      }
    }),
  })
  const schedule = planSchedule(request, solve, { seconds: 2, patience: 300 })
  expect(schedule.impossible).toEqual([])
  expect(brokenScheduleRules(request, schedule)).toEqual([])
})

interface Little {
  tasks: readonly Partial<ScheduleTask>[]
  cooks?: number
  boards?: number
  horizon?: number
  cleanAt?: readonly number[]
  /** Minutes of cleaning in the order given, and against it. */
  clean?: readonly [number, number]
}

const little = ({ tasks, cooks = 1, boards = 1, horizon = 60, cleanAt = [], clean = [2, 4] }: Little) =>
  read({
    horizon,
    cooks: Array.from({ length: cooks }, (_, index) => ({
      name: `cook ${index}`,
      skills: ['birds', 'fish'],
      shifts: [[0, horizon]],
    })),
    stations: [{ name: 'board', count: boards }],
    species: { order: ['fish', 'poultry'], cleanDown: clean[0], against: clean[1], cleanAt },
    tasks: tasks.map((task, index) => ({
      id: `t${index}`,
      job: `j${index}`,
      minutes: 3,
      needs: 'cook',
      station: 'board',
      ...task,
    })),
  })

const anyTask = fc.record({
  minutes: fc.integer({ min: 1, max: 4 }),
  species: fc.constantFrom('fish', 'poultry', null),
  due: fc.option(fc.integer({ min: 4, max: 26 }), { nil: null }),
  isAfter: fc.boolean(),
  lag: fc.integer({ min: 0, max: 2 }),
  needs: fc.constantFrom('cook' as const, 'cook' as const, 'nobody' as const),
})
const shopOf = (
  tasks: readonly (typeof anyTask extends fc.Arbitrary<infer T> ? T : never)[],
  more: Omit<Little, 'tasks'> = {},
) =>
  little({
    ...more,
    tasks: tasks.map(({ isAfter, lag, needs, species, ...task }, index) => ({
      ...task,
      needs,
      species: needs === 'nobody' ? null : species,
      station: needs === 'nobody' ? null : 'board',
      after: isAfter && index > 0 ? [{ task: `t${index - 1}`, lag, within: null }] : [],
    })),
  })

/** The fewest late and then clean minutes of one cook at one board: every order is tried. */
function byTryingAll({ tasks, species }: ScheduleRequest): { late: number; clean: number } {
  let best = { late: Number.POSITIVE_INFINITY, clean: Number.POSITIVE_INFINITY }
  const walk = (ends: ReadonlyMap<string, number>, free: number, last: string | null, late: number, clean: number) => {
    if (late > best.late) return
    if (ends.size === tasks.length) {
      if (late < best.late || clean < best.clean) best = { late, clean }
      return
    }
    for (const task of tasks) {
      if (ends.has(task.id) || task.after.some((before) => !ends.has(before.task))) continue
      const from = Math.max(0, ...task.after.map((before) => (ends.get(before.task) ?? 0) + before.lag))
      const isCook = task.needs === 'cook'
      const isOther = isCook && last !== null && task.species !== null && task.species !== last
      const wash = !isOther ? 0 : last === species.order[0] ? species.cleanDown : species.against
      const start = isCook ? Math.max(from, free + wash) : from
      const end = start + task.minutes
      const more = Math.max(0, end - (task.due ?? Number.POSITIVE_INFINITY))
      const next = new Map(ends).set(task.id, end)
      walk(next, isCook ? end : free, isCook ? (task.species ?? last) : last, late + more, clean + wash)
    }
  }
  walk(new Map(), 0, null, 0, 0)
  return best
}

test('little shops are as good as trying every order', () => {
  fc.assert(
    fc.property(fc.array(anyTask, { minLength: 2, maxLength: 6 }), (tasks) => {
      const request = shopOf(tasks)
      const schedule = planSchedule(request, solve, { seconds: 0.5 })
      expect(brokenScheduleRules(request, schedule)).toEqual([])
      const best = byTryingAll(request)
      expect([schedule.lateMinutes, schedule.cleanMinutes]).toEqual([best.late, best.clean])
      expect(schedule.bound.lateMinutes).toBeLessThanOrEqual(best.late)
    }),
    { seed: 18, numRuns: 25 },
  )
}, 60_000)

test('no rule is ever broken; more cooks, boards and time are never worse', () => {
  fc.assert(
    fc.property(fc.array(anyTask, { minLength: 4, maxLength: 12 }), (tasks) => {
      const plan = (more: Omit<Little, 'tasks'>) => {
        const request = shopOf(tasks, { horizon: 90, ...more })
        const schedule = planSchedule(request, solve, { seconds: 0.4 })
        expect(brokenScheduleRules(request, schedule)).toEqual([])
        if (schedule.status === 'proven') {
          expect(schedule.lateMinutes).toBeCloseTo(schedule.bound.lateMinutes, 6)
        }
        return schedule.lateMinutes
      }
      const alone = plan({})
      expect(plan({ cooks: 2 })).toBeLessThanOrEqual(alone)
      expect(plan({ cooks: 2, boards: 2 })).toBeLessThanOrEqual(alone)
      expect(plan({ horizon: 120 })).toBeLessThanOrEqual(alone)
    }),
    { seed: 19, numRuns: 12 },
  )
}, 60_000)

describe('rules', () => {
  test('fish before poultry is cleaned in two minutes, the other way in four; a close of the day saves it', () => {
    const tasks = [{ species: 'poultry', due: 3 }, { species: 'fish' }]
    expect(planSchedule(little({ tasks }), solve, { seconds: 0.3 }).cleanMinutes).toBe(4)
    const free = [{ species: 'poultry' }, { species: 'fish' }]
    const schedule = planSchedule(little({ tasks: free }), solve, { seconds: 0.3 })
    expect(schedule).toMatchObject({ cleanMinutes: 2, status: 'proven' })
    expect(schedule.cleanDowns).toMatchObject([{ station: 'board', number: 1, cook: 'cook 0' }])
    const closed = little({ tasks: [{ species: 'poultry', due: 3 }, { species: 'fish' }], cleanAt: [20] })
    expect(planSchedule(closed, solve, { seconds: 0.5 }).cleanMinutes).toBe(0)
  })

  test('what must follow at once does, and what is before it waits for that', () => {
    const request = little({
      tasks: [
        { minutes: 10, due: 10 },
        { id: 'thaw', minutes: 2, needs: 'nobody', station: null },
        { id: 'cut', minutes: 3, after: [{ task: 'thaw', lag: 0, within: 1 }] },
      ],
    })
    const schedule = planSchedule(request, solve, { seconds: 0.4 })
    expect(brokenScheduleRules(request, schedule)).toEqual([])
    expect(schedule.lateMinutes).toBe(0)
  })

  test('food waits as little as it can: what is due late is made late', () => {
    const chain = little({
      tasks: [
        { id: 'cut', minutes: 5 },
        {
          id: 'rest',
          minutes: 4,
          needs: 'nobody',
          station: null,
          after: [{ task: 'cut', lag: 1, within: null }],
          due: 50,
        },
      ],
    })
    const schedule = planSchedule(chain, solve, { seconds: 0.3 })
    expect(schedule).toMatchObject({ holdMinutes: 0, status: 'proven' })
    expect(schedule.tasks.map(({ start }) => start)).toEqual([40, 46])
  })

  test('what has begun keeps its place, and the rest goes around it', () => {
    const request = little({ tasks: [{ id: 'a' }, { id: 'b' }, { id: 'c' }] })
    const held = [{ id: 'b', start: 1, cook: 'cook 0', unit: 0 }]
    const schedule = planSchedule(request, solve, { seconds: 0.3, held })
    expect(brokenScheduleRules(request, schedule)).toEqual([])
    expect(schedule.tasks.find(({ id }) => id === 'b')).toMatchObject({ start: 1, end: 4, cook: 'cook 0' })
  })

  test('what somebody began stays theirs, also where they are not there any more', () => {
    const request = little({ tasks: [{ minutes: 5 }, { minutes: 5 }] })
    const held = [{ id: 't0', start: 0, cook: 'gone home', unit: 0 }]
    const { tasks } = planSchedule(request, solve, { held, seconds: 1, patience: 200 })
    expect(tasks.map(({ cook }) => cook)).toEqual(['gone home', 'cook 0'])
  })

  test('nothing to do is done; it tells how far it is and is broken off', () => {
    expect(planSchedule(little({ tasks: [] }), solve)).toMatchObject({ status: 'proven', tasks: [] })
    let told = 0
    const request = read(cases.at(-1)?.input ?? {})
    const began = performance.now()
    const schedule = planSchedule(request, solve, { onProgress: () => ++told < 3 })
    expect([told, performance.now() - began < 6_000]).toEqual([3, true])
    expect(brokenScheduleRules(request, schedule)).toEqual([])
  })

  test.each([
    ['no-such-skill', { skill: 'lamb' }],
    ['longer-than-any-shift', { minutes: 61 }],
    ['beyond-the-horizon', { notBefore: 58, needs: 'nobody', station: null }],
  ] as const)('%s: told with its task', (why, task) => {
    const schedule = planSchedule(little({ tasks: [{}, task as Partial<ScheduleTask>] }), solve)
    expect(schedule).toMatchObject({ status: 'impossible', tasks: [], impossible: [{ task: 't1', why }] })
  })

  test('more than fits before the horizon has no place', () => {
    const tasks = Array.from({ length: 8 }, () => ({ minutes: 10 }))
    expect(planSchedule(little({ tasks }), solve, { seconds: 0.4 }).status).toBe('impossible')
  })
})
