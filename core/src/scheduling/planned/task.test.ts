import fc from 'fast-check'
import { isOnDuty, ON_DUTY, WORK_KINDS } from './kinds.ts'
import { type KeptTask, keptTask, keptTaskOf, placedTaskOf, type WorkTask } from './task.ts'

const COOK = '019b76da-a8f2-7000-8003-cbb2874dc7a1'
const JOB = '019b76da-a8f2-7000-8003-cbb2874dc7a2'

const anyKept: fc.Arbitrary<KeptTask> = fc
  .record({
    kind: fc.constantFrom(...WORK_KINDS),
    start: fc.integer({ min: 0, max: 3000 }),
    lasts: fc.integer({ min: 0, max: 600 }),
    hasCook: fc.boolean(),
    station: fc.constantFrom(null, { name: 'board', number: 2 }),
    upTo: fc.constantFrom(null, 0, 7),
  })
  .map(({ kind, start, lasts, hasCook, station, upTo }) => ({
    ...{ id: `${JOB} ${kind} 1`, jobId: JOB, what: 'Duck, six', kind, upTo, station, start, end: start + lasts },
    // Whoever is on duty is nobody in particular.
    cookId: hasCook && !isOnDuty(kind) ? COOK : null,
  }))

test('what is kept comes back from the scheduler as it went in, whoever does it', () => {
  fc.assert(
    fc.property(anyKept, (kept) => {
      const work: WorkTask = {
        ...{ id: kept.id, jobId: kept.jobId, kind: kept.kind, upTo: kept.upTo },
        ...{ units: 1, load: 1, loads: 1, part: null, isAssumed: false },
      }
      expect(keptTaskOf(work, placedTaskOf(kept), kept.what)).toEqual(kept)
      expect(keptTask.parse(kept)).toEqual(kept)
    }),
  )
})

test('whoever is on duty is a cook of the scheduler, and none of what only passes', () => {
  const kept = { jobId: JOB, what: '', upTo: null, start: 0, end: 10, cookId: null, station: null }
  expect(placedTaskOf({ id: 'a', kind: 'stock-on', ...kept }).cook).toBe(ON_DUTY)
  expect(placedTaskOf({ id: 'a', kind: 'stock', ...kept }).cook).toBeNull()
})

test('a task that ends before it begins is refused at its end', () => {
  const task = { id: 'a', jobId: JOB, what: '', kind: 'cut', upTo: 1, start: 9, end: 8, cookId: null, station: null }
  expect(keptTask.safeParse(task).error?.issues.map(({ path }) => path)).toEqual([['end']])
})
