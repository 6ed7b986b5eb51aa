import {
  type CookShift,
  type PlannedJob,
  USUAL_WORK,
  usualStyleWork,
  type WorkCook,
  workPlan,
} from '../src/scheduling/index.ts'

/** A cook by their id; by default nobody said when they are there, and they cut everything. */
export const cook = (id: string, week: WorkCook['week'] = null, skills: WorkCook['skills'] = null): WorkCook => ({
  ...{ id, week, skills, days: {} },
})
export const work = (isBonded: boolean, hasBones: boolean) => usualStyleWork({ isBonded, hasBones }, USUAL_WORK)
/** Seven ducks of ten minutes, cut on Thursday 3 Dec 2026 for the day after. */
export const job = (changes: Partial<PlannedJob> = {}): PlannedJob => ({
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
export const WEEK: CookShift[] = [3, 4, 5].map((day) => ({ day, from: 480, until: 660 }))
/** Wed 2 Dec 2026 and three days more. */
export const plan = (jobs: readonly PlannedJob[], changes: Partial<Parameters<typeof workPlan>[1]> = {}) =>
  workPlan(jobs, {
    from: '2026-12-02',
    days: 4,
    cooks: [cook('Marit', WEEK), cook('Bruno', WEEK)],
    settings: USUAL_WORK,
    now: 0,
    ...changes,
  })
