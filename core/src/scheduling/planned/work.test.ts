import { brokenScheduleRules } from '../../../test/check-schedule.ts'
import { cook, job, plan, WEEK, work } from '../../../test/planned-work.ts'
import { loadSolver } from '../../../test/solver.ts'
import { planSchedule } from '../plan-schedule.ts'
import type { PlacedTask } from '../schedule.ts'
import {
  MINUTES_OF_A_DAY,
  type PlannedJob,
  placedAsTheyAre,
  placedInOrder,
  scheduleFaults,
  USUAL_WORK,
  type WorkCook,
} from './index.ts'

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
    const shifts = (cooks: WorkCook[]) => plan([], { cooks }).request.cooks.map((cook) => cook.shifts)
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
    return tasks.map(({ kind }, index) => [kind, request.tasks[index]?.minutes])
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
    const cooks = Array.from({ length: 20 }, (_, index) => cook(`cook ${index}`, WEEK))
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
      (cook) => cook.skills,
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
  expect(placedInOrder(asked, placed, String).map(({ id, start, upTo }) => [id, start, upTo])).toEqual([
    ['duck cut 2', 30, 6],
    ['duck cut 3', 70, 9],
    ['duck cut 1', 0, 3],
    ['duck pack 1', 200, null],
  ])
  // Moved by hand each keeps its number.
  expect(placedAsTheyAre(asked, placed, String).map(({ id, upTo }) => [id, upTo])).toEqual([
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
  const ordered = Object.fromEntries(placedInOrder(asked, placed, String).map((entry) => [entry.id, entry]))
  expect(ordered['duck cut 1 1']).toMatchObject({ start: 0, upTo: 1 })
  expect(ordered['duck cold 1 1']).toMatchObject({ start: 30, upTo: 1 })
  expect(ordered['duck cut 1 2']).toMatchObject({ start: 40, upTo: 1 })
  expect(ordered['duck cut 2 2']).toMatchObject({ start: 190, upTo: 2 })
})
