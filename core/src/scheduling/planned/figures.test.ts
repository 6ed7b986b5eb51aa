import cases from '../../../cases/schedule.json'
import { loadSolver } from '../../../test/solver.ts'
import { evaluate } from '../../explanation/index.ts'
import { planSchedule } from '../plan-schedule.ts'
import type { ScheduleRequest } from '../schedule.ts'
import { cuttingMinutes, explainCutting, explainSchedule, SCHEDULE_FIGURES, scheduleMinutes } from './figures.ts'

const requestOf = ({ input }: (typeof cases)[number]): ScheduleRequest => ({
  ...input,
  species: { cleanAt: [], ...input.species },
  cooks: input.cooks.map((cook) => ({ ...cook, shifts: cook.shifts as [number, number][] })),
  tasks: input.tasks.map((task) => ({
    ...{ skill: null, station: null, species: null, notBefore: 0, due: null, ...task },
    needs: task.needs as 'cook' | 'nobody',
    after: (task.after ?? []).map((entry) => ({
      ...entry,
      within: 'within' in entry ? (entry.within as number) : null,
    })),
  })),
})

test.each(cases.slice(0, 4).map((testCase) => [testCase.name, testCase] as const))(
  '%s: what is shown of a schedule is what the search says of it, and opens to it',
  async (_name, entry) => {
    const request = requestOf(entry)
    const made = planSchedule(request, await loadSolver(), { seconds: 1, patience: 300 })
    const told = { late: made.lateMinutes, clean: made.cleanMinutes, hold: made.holdMinutes }
    for (const figure of SCHEDULE_FIGURES) {
      const minutes = scheduleMinutes(request, made.tasks, figure)
      expect(minutes).toBeCloseTo(told[figure], 4)
      const explained = explainSchedule(request, made.tasks, { figure, nameOf: (id) => id })
      expect(explained ? evaluate(explained.expression) : 0).toBeCloseTo(minutes, 6)
    }
  },
)

test('minutes of cutting are those of loads alone, and open to them', () => {
  const tasks = [
    { id: 'load 1', kind: 'cut' as const, start: 480, end: 510 },
    { id: 'load 2', kind: 'cut' as const, start: 500, end: 512.5 },
    { id: 'pack', kind: 'pack' as const, start: 520, end: 530 },
  ]
  expect(cuttingMinutes(tasks)).toBe(42.5)
  const formula = explainCutting(tasks, (id) => id)
  expect(formula && evaluate(formula.expression)).toBe(42.5)
  expect(explainCutting(tasks.slice(2), (id) => id)).toBeNull()
})
