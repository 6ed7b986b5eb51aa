import fc from 'fast-check'
import { brokenScheduleRules } from '../../../test/check-schedule.ts'
import { job, work } from '../../../test/planned-work.ts'
import { loadSolver } from '../../../test/solver.ts'
import { planSchedule } from '../plan-schedule.ts'
import { MINUTES_OF_A_DAY, ON_DUTY, type PlannedJob, USUAL_WORK, type WorkCook, workPlan } from './index.ts'
import { isWatched, KEPT_WARM_MINUTES, PUT_ON_WITHIN } from './pots.ts'

const week = [1, 2, 3, 4, 5, 6, 7].map((day) => ({ day, from: 480, until: 720 }))
const cooks: WorkCook[] = ['Marit', 'Bruno'].map((id) => ({ id, skills: null, days: {}, week }))
const duck = (id: string, hours: { stock: number; confit: number }): PlannedJob =>
  job({
    ...{ id, units: 4, day: '2026-12-02', minutes: 50, serves: null, portions: 8 },
    work: { ...work(false, true), stockHours: hours.stock, confitHours: hours.confit },
  })

describe('what stands on a stove', () => {
  const kitchens = fc.record({
    stocks: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 4 }),
    confit: fc.integer({ min: 0, max: 5 }),
    begins: fc.integer({ min: 300, max: 700 }),
    open: fc.integer({ min: 5, max: 900 }),
    stoves: fc.integer({ min: 1, max: 3 }),
  })

  test('is put on and taken off while somebody is on duty, in any kitchen', async () => {
    const solve = await loadSolver()
    let watched = 0
    fc.assert(
      fc.property(kitchens, ({ stocks, confit, begins, open, stoves }) => {
        const settings = { ...USUAL_WORK, begins, closes: Math.min(MINUTES_OF_A_DAY, begins + open), stoves }
        const jobs = stocks.map((stock, index) => duck(`duck ${index}`, { stock, confit }))
        const plan = workPlan(jobs, { from: '2026-12-02', days: 4, cooks, settings, now: 0 })
        const made = planSchedule(plan.request, solve, { seconds: 0.2, patience: 80 })
        // Where the days are short and the stoves few some of it may have no time; that is told.
        if (open >= 480 && stoves > 1) expect(made.status).not.toBe('impossible')
        if (made.status === 'impossible') return
        expect(brokenScheduleRules(plan.request, made)).toEqual([])
        const placeOf = new Map(made.tasks.map((task) => [task.id, task]))
        const isManned = (from: number, until: number) => {
          const day = Math.floor(from / MINUTES_OF_A_DAY) * MINUTES_OF_A_DAY
          return from >= day + settings.begins - 1e-6 && until <= day + settings.closes + 1e-6
        }
        for (const { id, jobId, kind } of plan.tasks) {
          if (kind !== 'stock' && kind !== 'confit') continue
          const [hot, on, off] = ['', '-on', '-off'].map((of) => placeOf.get(`${jobId} ${kind}${of} 1`))
          if (!hot) throw new Error(`${id} has no place`)
          // Where it is not watched, that is told; and then there really is no hour for it.
          expect(plan.unwatched.includes(id)).toBe(on === undefined)
          if (!on || !off) {
            expect(isWatched((hot.end - hot.start) / 60, settings)).toBe(false)
            continue
          }
          watched++
          expect([on.cook, off.cook]).toEqual([ON_DUTY, ON_DUTY])
          expect(isManned(on.start, on.end) && isManned(off.start, off.end)).toBe(true)
          expect(hot.start - on.end).toBeLessThanOrEqual(PUT_ON_WITHIN + 1e-6)
          expect(off.start - hot.end).toBeLessThanOrEqual(KEPT_WARM_MINUTES + 1e-6)
        }
      }),
      { numRuns: 60 },
    )
    expect(watched).toBeGreaterThan(40)
  })

  test('takes nothing of the cooks’ hours at the board', () => {
    const plan = workPlan([duck('duck', { stock: 6, confit: 0 })], {
      ...{ from: '2026-12-02', days: 4, cooks, settings: USUAL_WORK, now: 0 },
    })
    const onDuty = plan.request.cooks.find(({ name }) => name === ON_DUTY)
    expect(onDuty?.shifts[0]).toEqual([480, 1320])
    expect(plan.request.tasks.flatMap(({ id, skill }) => (skill === ON_DUTY ? [id] : []))).toEqual([
      'duck stock-on 1',
      'duck stock-off 1',
    ])
  })

  test('is watched through the night only where it ends after the day has begun', () => {
    // From eight to eight: twelve hours over the day do not fit, and over the night they do.
    const open = { begins: 480, closes: 1200 }
    expect([6, 11.5, 12, 12.5].map((hours) => isWatched(hours, open))).toEqual([true, true, true, true])
    // From eight to two: nothing that is put on then is done before eight the next day, but for what takes long enough.
    const short = { begins: 480, closes: 840 }
    expect([5, 6, 8, 16, 17, 18, 24].map((hours) => isWatched(hours, short))).toEqual([
      ...[true, false, false, false, false, true, true],
    ])
  })
})
