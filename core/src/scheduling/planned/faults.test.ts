import { job, plan, work } from '../../../test/planned-work.ts'
import type { HeldTask, PlacedTask } from '../schedule.ts'
import { MINUTES_OF_A_DAY, scheduleFaults } from './index.ts'

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
