import type { PlacedTask, PlannedJob, WorkPlan, WorkTask } from '../scheduling/index.ts'
import type { PlanItem } from './item.ts'
import { setUpsOf } from './set-ups.ts'

const pile = (id: string, expectedShare: number) => ({
  ...{ id, name: id, expectedShare, weighing: 'whole', portionsPerUnit: null, when: null },
})
const step = (id: string, pileIds: string[], tool = 'knife') => ({ id, title: id, pileIds, tool, when: null })
const turkey = {
  id: 'turkey',
  unitWeight: { usual: 6000 },
  styles: [
    {
      id: 'parts',
      options: [],
      consumables: [],
      piles: [pile('legs', 0.2), pile('wings', 0.1), pile('breasts', 0.4), pile('carcass', 0.3)],
      steps: [
        step('legs off', ['legs'], 'boning-knife'),
        step('wings off', ['wings']),
        step('breasts off', ['breasts']),
        step('carcass', ['carcass'], 'cleaver'),
      ],
    },
  ],
} as unknown as PlanItem
const job = { id: 'feast', name: 'Turkey', itemId: 'turkey', styleId: 'parts' } as PlannedJob

const STEPS_OF_PART = [
  ['legs off', 'wings off'],
  ['breasts off', 'carcass'],
]

/** Loads of 4 and 3 birds, each in parts of a line; where each part is done. */
function lineOf(boards: readonly number[]) {
  const loads = [4, 3]
  const tasks = loads.flatMap((units, load) =>
    boards.map((board, index) => ({ id: `${load} ${index}`, board, units, load: load + 1, number: index + 1 })),
  )
  const work = {
    tasks: tasks.map(
      ({ id, units, load, number }): WorkTask => ({
        ...{ id, jobId: 'feast', kind: 'cut', units, load, loads: 2, upTo: null, isAssumed: true },
        part: boards.length > 1 ? { number, of: boards.length, steps: STEPS_OF_PART[number - 1] ?? [] } : null,
      }),
    ),
  } as WorkPlan
  const placed = tasks.map(
    ({ id, board }, index): PlacedTask => ({
      ...{ id, start: index * 10, end: index * 10 + 10, cook: null, station: { name: 'board', number: board } },
    }),
  )
  return setUpsOf(placed, { work, jobs: [job], items: [turkey] })
}

test('where one cook cuts a unit, everything that comes off it is laid out, each bird once', () => {
  const [only, ...others] = lineOf([1])
  expect(others).toEqual([])
  expect(only?.jobs).toMatchObject([{ units: 7, steps: null }])
  expect(only?.piles.map(({ name, grams }) => [name, Math.round(grams ?? 0)])).toEqual([
    ['legs', 8400],
    ['wings', 4200],
    ['breasts', 16800],
    ['carcass', 12600],
  ])
})

test('a board of a line lists what comes off there, for each bird once', () => {
  const [first, second] = lineOf([1, 2])
  expect([first?.jobs[0]?.units, second?.jobs[0]?.units]).toEqual([7, 7])
  expect(first?.piles.map(({ name }) => name)).toEqual(['legs', 'wings'])
  expect(first?.tools).toEqual(['boning-knife', 'knife'])
  expect(second?.piles.map(({ name, grams }) => [name, Math.round(grams ?? 0)])).toEqual([
    ['breasts', 16800],
    ['carcass', 12600],
  ])
})

test('two parts at one board count its birds once all the same', () => {
  const [only] = lineOf([1, 1])
  expect(only?.jobs).toMatchObject([{ units: 7, steps: ['legs off', 'wings off', 'breasts off', 'carcass'] }])
  expect(only?.piles.map(({ name }) => name)).toEqual(['legs', 'wings', 'breasts', 'carcass'])
})
