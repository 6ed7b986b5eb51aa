import fc from 'fast-check'
import { factVoid, mark as madeMark } from '../../test/facts.ts'
import type { Mark, MarkKind } from '../facts/index.ts'
import { coldLoads } from './cold.ts'

let count = 0
const at = (minute: number) => new Date(Date.UTC(2026, 10, 24, 8, minute)).toISOString()
const mark = (kind: MarkKind, minute: number, changes: Partial<Mark> = {}) =>
  madeMark(`m${count}`, kind, ++count, { takenAt: at(minute), ...changes })
const limits = { boardMinutes: 30, outMinutes: 120 }
const batch = (minute: number, units = 1, firstUnits = units) => ({
  units,
  firstUnits,
  startedAt: at(0),
  nowMs: Date.parse(at(minute)),
  limits,
})
const only = (marks: readonly Mark[], minute: number) => coldLoads(marks, batch(minute)).loads[0]

describe('one load', () => {
  test('is out from the start, and turns amber and then red', () => {
    const levels = [0, 23, 24, 29, 30].map((minute) => only([], minute)?.level)
    expect(levels).toEqual(['ok', 'ok', 'amber', 'amber', 'red'])
  })

  test('starts anew when it comes out again, and adds up in all', () => {
    const marks = [mark('cold-in', 20), mark('cold-out', 50)]
    expect(only(marks, 60)).toMatchObject({ isOut: true, boardMinutes: 10, outMinutes: 30, level: 'ok' })
    expect(only(marks.slice(0, 1), 60)).toMatchObject({ isOut: false, boardMinutes: 0, outMinutes: 20 })
  })

  test('is red for good when it was out for too long in all', () => {
    const marks = Array.from({ length: 6 }, (_, round) => [
      mark('cold-in', 25 + round * 30),
      mark('cold-out', 30 + round * 30),
    ]).flat()
    expect(only(marks, 181)).toMatchObject({ boardMinutes: 1, level: 'red' })
  })
})

describe('twelve turkeys in loads', () => {
  test('each has its own clock, and those in the fridge have none', () => {
    const marks = [
      mark('cold-in', 20, { load: 1 }),
      mark('cold-out', 21, { load: 2, units: 4 }),
      mark('cold-out', 30, { load: 3, units: 4 }),
    ]
    const { loads, waiting } = coldLoads(marks, batch(46, 12, 2))
    expect(loads.map(({ load, units, isOut, boardMinutes }) => [load, units, isOut, boardMinutes])).toEqual([
      [1, 2, false, 0],
      [2, 4, true, 25],
      [3, 4, true, 16],
    ])
    expect(waiting).toBe(2)
    expect(loads.map(({ level }) => level)).toEqual(['ok', 'amber', 'ok'])
  })

  test('how many a load has can be put right, and a load that was taken out by mistake is undone', () => {
    const second = mark('cold-out', 5, { load: 2, units: 6 })
    const marks = [second, mark('cold-out', 6, { load: 2, units: 3 })]
    expect(coldLoads(marks, batch(10, 12, 4)).loads.map(({ units }) => units)).toEqual([4, 3])
    expect(
      coldLoads([...marks, factVoid('v', second.id), factVoid('w', marks[1]?.id as string)], batch(10, 12, 4)),
    ).toMatchObject({ waiting: 8, loads: [{ units: 4 }] })
  })

  test('a mark without a load is of all that have been out', () => {
    const marks = [mark('cold-out', 5, { load: 2, units: 4 }), mark('cold-in', 9)]
    expect(coldLoads(marks, batch(10, 12, 4)).loads.every(({ isOut }) => !isOut)).toBe(true)
  })

  test('whatever is said, no more are out than there are, and no clock runs backwards', () => {
    const said = fc.record({
      kind: fc.constantFrom<MarkKind>('cold-in', 'cold-out'),
      minute: fc.integer({ min: -20, max: 200 }),
      load: fc.option(fc.integer({ min: 1, max: 6 })),
      units: fc.option(fc.integer({ min: 1, max: 40 })),
    })
    fc.assert(
      fc.property(fc.array(said, { maxLength: 12 }), fc.integer({ min: 1, max: 30 }), (all, units) => {
        const marks = all.map(({ kind, minute, ...rest }) => mark(kind, minute, rest))
        const { loads, waiting } = coldLoads(marks, batch(60, units, Math.ceil(units / 3)))
        expect(waiting).toBeGreaterThanOrEqual(0)
        expect(loads.reduce((sum, load) => sum + load.units, waiting)).toBe(units)
        for (const load of loads) {
          expect(load.units).toBeGreaterThanOrEqual(1)
          expect(load.outMinutes).toBeGreaterThanOrEqual(load.boardMinutes)
          expect(load.boardMinutes).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })
})
