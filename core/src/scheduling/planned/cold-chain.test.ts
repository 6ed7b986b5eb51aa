import fc from 'fast-check'
import { brokenScheduleRules } from '../../../test/check-schedule.ts'
import { job, work } from '../../../test/planned-work.ts'
import { loadSolver } from '../../../test/solver.ts'
import { DEFAULT_COLD_LIMITS } from '../../fabrication/index.ts'
import { planSchedule } from '../plan-schedule.ts'
import type { PlacedTask } from '../schedule.ts'
import {
  type BoardInput,
  boardWay,
  type PlannedJob,
  scheduleFaults,
  USUAL_WORK,
  type WorkCook,
  type WorkPlan,
  workPlan,
} from './index.ts'

const HOURS = { from: 480, until: 960 }
const cooks = (count: number): WorkCook[] =>
  Array.from({ length: count }, (_, index) => ({
    ...{ id: `cook ${index + 1}`, skills: null, days: {} },
    week: [1, 2, 3, 4, 5, 6, 7].map((day) => ({ day, ...HOURS })),
  }))
const turkey = (changes: Partial<PlannedJob>): PlannedJob =>
  job({
    ...{ id: 'turkey', itemId: 'turkey', styleId: 'parts', name: 'Turkey: parts', units: 20, minutes: 370 },
    ...{ serves: '2026-12-05', portions: 40, unitGrams: 9000, work: work(false, false) },
    ...changes,
  })
const steps = (minutes: readonly number[]) =>
  minutes.map((own, index) => ({ id: `step ${index + 1}`, title: `Step ${index + 1}`, minutes: own }))

interface Kitchen {
  units: number
  minutesPerUnit: number
  minutes: readonly number[]
  line: number
  carriers: number
  temperHours: number
  boards: number
  team: number
  stretch: number
}

const kitchenOf = ({
  units,
  minutesPerUnit: each,
  minutes,
  line,
  carriers,
  temperHours,
  boards,
  team,
  stretch,
}: Kitchen) => {
  const own = turkey({ units, minutes: units * each + 10, steps: steps(minutes) })
  const work = { ...own.work, line, carriers, temperHours }
  const settings = { ...USUAL_WORK, boards, boardMinutes: stretch }
  return workPlan([{ ...own, work }], { from: '2026-12-02', days: 4, cooks: cooks(team), settings, now: 0 })
}

/** How long one unit of each load is out of the cold as it was placed: the longest stretch at the board, and in all. */
function timesOut({ tasks, request }: WorkPlan, placed: readonly PlacedTask[], setUp: number) {
  const placeOf = new Map(placed.map((task) => [task.id, task]))
  const askedOf = new Map(request.tasks.map((task) => [task.id, task]))
  const out = tasks.filter(({ kind }) => kind === 'cut' || kind === 'temper')
  return [...new Set(out.map(({ load }) => load))].map((load) => {
    const places = out.flatMap((task) => {
      if (task.load !== load) return []
      const [place, asked] = [placeOf.get(task.id), askedOf.get(task.id)]
      return place && asked ? [{ task, asked, ...place }] : []
    })
    const cuts = places.filter(({ task }) => task.kind === 'cut')
    const [temper] = places.filter(({ task }) => task.kind === 'temper')
    const [first, last] = [cuts[0] as (typeof cuts)[number], cuts.at(-1) as (typeof cuts)[number]]
    const begins = first.start + (load === 1 ? setUp : 0)
    const handed = cuts[1]?.asked.after[0]
    const isLine = handed?.task === first.id
    // Along a line one unit is in the hands of each cook in turn; else a load is out while a part of it is cut.
    const behind = isLine ? -handed.lag : 0
    const stretches = isLine
      ? [last.end - behind - begins]
      : cuts.map(({ task, start, end }) => end - start - (load === 1 && task === first.task ? setUp : 0))
    const stood = temper ? temper.end - temper.start : 0
    // The last of a load that stood out waits for all the others.
    const waits = temper ? begins - temper.end + behind : 0
    return {
      stretch: Math.max((stretches[0] ?? 0) + waits, ...stretches.slice(1)),
      inAll: stretches.reduce((sum, minutes) => sum + minutes, 0) + stood + waits,
    }
  })
}

describe('nothing is out of the cold for longer than it may be', () => {
  const kitchens: fc.Arbitrary<Kitchen> = fc.record({
    units: fc.integer({ min: 1, max: 25 }),
    minutesPerUnit: fc.integer({ min: 1, max: 70 }),
    minutes: fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 8 }),
    line: fc.integer({ min: 1, max: 20 }),
    carriers: fc.integer({ min: 0, max: 2 }),
    temperHours: fc.constantFrom(0, 0, 0.5, 1),
    boards: fc.integer({ min: 1, max: 5 }),
    team: fc.integer({ min: 1, max: 6 }),
    stretch: fc.integer({ min: 10, max: 45 }),
  })

  test('in any kitchen, whoever stands where', async () => {
    const solve = await loadSolver()
    let scheduled = 0
    fc.assert(
      fc.property(kitchens, (kitchen) => {
        const plan = kitchenOf(kitchen)
        const cut = plan.tasks.filter(({ kind, part }) => kind === 'cut' && (part === null || part.number === 1))
        if (plan.tooWarm.length > 0) return expect(plan.tasks).toEqual([])
        expect(cut.reduce((sum, { units }) => sum + units, 0)).toBe(kitchen.units)
        const schedule = planSchedule(plan.request, solve, { seconds: 0.15, patience: 60 })
        if (schedule.status === 'impossible') return
        scheduled++
        expect(brokenScheduleRules(plan.request, schedule)).toEqual([])
        expect(scheduleFaults(plan.request, schedule.tasks).filter(({ rule }) => rule !== 'late')).toEqual([])
        for (const { stretch, inAll } of timesOut(plan, schedule.tasks, 10)) {
          expect(stretch).toBeLessThanOrEqual(kitchen.stretch + 1e-6)
          expect(inAll).toBeLessThanOrEqual(DEFAULT_COLD_LIMITS.outMinutes + 1e-6)
        }
      }),
      { numRuns: 60 },
    )
    expect(scheduled).toBeGreaterThan(10)
  }, 60_000)

  const input = (changes: Partial<BoardInput> = {}): BoardInput => ({
    ...{ units: 20, minutesPerUnit: 18, steps: [], cooks: 5, stretch: 30, inAll: 120 },
    ...{ isTempered: false, together: 480, ...changes },
  })

  test('twenty turkeys of eighteen minutes go one by one along five cooks: in 86 minutes', () => {
    const way = boardWay(input())
    expect(way).toMatchObject({ kind: 'line', perLoad: 20, loads: 1, pace: 3.6, mayWait: 3 })
    const plan = kitchenOf({
      ...{
        units: 20,
        minutesPerUnit: 18,
        minutes: [],
        line: 5,
        carriers: 0,
        temperHours: 0,
        boards: 5,
        team: 5,
        stretch: 30,
      },
    })
    const [first, second] = plan.request.tasks
    expect([first?.minutes, second?.minutes]).toEqual([expect.closeTo(82), expect.closeTo(72)])
    expect(second?.after).toEqual([{ task: 'turkey cut 1 1', lag: expect.closeTo(-68.4), within: 3 }])
  })

  test('parts of a line are as even as its steps let them be', () => {
    const way = boardWay(input({ cooks: 3, steps: steps([1, 2, 1, 4, 1, 3]) }))
    expect(way).toMatchObject({
      kind: 'line',
      pace: expect.closeTo(6),
      parts: [{ steps: ['step 1', 'step 2', 'step 3'] }, { steps: ['step 4'] }, { steps: ['step 5', 'step 6'] }],
    })
  })

  test('a unit that takes longer than a stretch goes back into the cold in between, of a line after every part', () => {
    expect(boardWay(input({ cooks: 1, minutesPerUnit: 45, units: 2 }))).toMatchObject({
      ...{ kind: 'loads', perLoad: 1, loads: 2, parts: [{ minutes: 22.5 }, { minutes: 22.5 }] },
    })
    const line = boardWay(input({ minutesPerUnit: 45 }))
    expect(line).toMatchObject({ kind: 'loads', perLoad: 2 })
    const plan = kitchenOf({
      ...{
        units: 2,
        minutesPerUnit: 45,
        minutes: [],
        line: 1,
        carriers: 0,
        temperHours: 0,
        boards: 1,
        team: 1,
        stretch: 30,
      },
    })
    expect(plan.tasks.map(({ kind, load }) => [kind, load])).toEqual([
      ...[1, 2].flatMap((load) => [
        ['cut', load],
        ['cold', load],
        ['cut', load],
      ]),
      ['pack', 1],
    ])
    expect(plan.request.tasks[1]).toMatchObject({ needs: 'nobody', minutes: 0.5 })
  })

  test('what cannot be kept has no way: a unit of more than two hours, and no minute at all', () => {
    expect(boardWay(input({ minutesPerUnit: 121 }))).toEqual({ kind: 'too-warm', minutes: 121, limit: 120 })
    expect(boardWay(input({ stretch: 0 }))).toMatchObject({ kind: 'too-warm' })
    expect(boardWay(input({ inAll: 0 }))).toMatchObject({ kind: 'too-warm' })
  })
})

test('of schedules that are equally late and clean the one is made whose work is done its slack before it is due', async () => {
  const solve = await loadSolver()
  const plan = (slack: number) =>
    workPlan([turkey({ units: 1, minutes: 30 })], {
      ...{ from: '2026-12-05', days: 1, cooks: cooks(1), now: 0 },
      settings: { ...USUAL_WORK, slack, service: 15 * 60, buffer: 0 },
    })
  const doneBefore = (slack: number) => {
    const { request } = plan(slack)
    const { tasks, lateMinutes, holdMinutes } = planSchedule(request, solve, { seconds: 1 })
    expect([lateMinutes, holdMinutes]).toEqual([0, expect.closeTo(0, 6)])
    return 15 * 60 - (tasks.find(({ id }) => id.includes('pack'))?.end ?? 0)
  }
  expect(doneBefore(0)).toBeCloseTo(0, 6)
  expect(doneBefore(45)).toBeCloseTo(45, 6)
})
