import { job, plan } from '../../../test/planned-work.ts'
import { loadSolver } from '../../../test/solver.ts'
import { planSchedule } from '../plan-schedule.ts'
import { followTasks, type JobProgress, soonestPlaces } from './follow.ts'
import { type MarkedTask, MINUTES_OF_A_DAY, ON_DUTY, withBegun } from './index.ts'

describe('the schedule follows the bench', () => {
  const kept = (id: string, start: number, end: number, changes: Partial<MarkedTask> = {}): MarkedTask => ({
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
    const tasks = ['cut 1', 'cut 2', 'pack', 'stock'].map((id, index) => ({
      ...{ id, job: 'duck', minutes: 0, needs: 'cook' as const, skill: null, station: null, species: null },
      ...{
        after:
          index === 0 ? [] : [{ task: ['cut 1', 'cut 1', 'cut 2', 'cut 2'][index] as string, lag: 5, within: null }],
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

  test('a pot boils from when a hand has put it on, however long ago the cutting was over', () => {
    const progress = { start: 500, unitsDone: 7, lastAt: 650, end: 660, cook: 'Marit' }
    const pot = { station: null, cook: ON_DUTY }
    const tasks = [
      ...TASKS.filter(({ id }) => id !== 'stock'),
      kept('on', 610, 615, { kind: 'stock-on', ...pot }),
      kept('stock', 620, 980, { kind: 'stock', cook: null, station: { name: 'stove', number: 1 } }),
      kept('off', 980, 990, { kind: 'stock-off', ...pot }),
    ]
    const potAt = (now: number, done: number | null = null) =>
      follow(
        () => progress,
        now,
        tasks.map((task) => (task.id === 'on' && done !== null ? { ...task, begun: done - 4, done } : task)),
      ).slice(-2)
    expect(potAt(900)).toEqual([
      ['stock', 'waiting', 620, 980, null],
      ['off', 'waiting', 980, 990, ON_DUTY],
    ])
    expect(potAt(900, 800)[0]).toEqual(['stock', 'running', 805, 1165, null])
    // It is strained when a hand says so, not when the clock does.
    expect(potAt(1300, 800)).toEqual([
      ['stock', 'done', 805, 1165, null],
      ['off', 'waiting', 980, 990, ON_DUTY],
    ])
  })

  test('what has begun is held where it is when the rest is made anew', async () => {
    const now = MINUTES_OF_A_DAY + 540
    const asked = plan([job()], { now })
    const start = MINUTES_OF_A_DAY + 500
    const first = asked.request.tasks[0]
    const tasks = asked.tasks.map(
      ({ id, jobId, kind, upTo }): MarkedTask => ({
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
