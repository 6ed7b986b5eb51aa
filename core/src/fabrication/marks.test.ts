import { mark as madeMark } from '../../test/facts.ts'
import type { MarkKind } from '../facts/index.ts'
import { labourClocks, labourFromMarks } from './marks.ts'

let count = 0
const at = (minute: number) => new Date(Date.UTC(2026, 10, 24, 8, minute)).toISOString()
/** Marks are told in the order in which they are written here. */
const mark = (kind: MarkKind, minute: number, cookId: string | null = null) =>
  madeMark(`m${count}`, kind, ++count, {
    cookId,
    ratePerHour: kind === 'labour-start' ? 21.4 : null,
    takenAt: at(minute),
  })
const cookName = (id: string) => ({ marit: 'Marit', bruno: 'Bruno' })[id]
const now = Date.parse(at(60))

describe('clocks of cooks', () => {
  test('without one, the minutes of the style hold', () => {
    expect(labourFromMarks([mark('cold-in', 3)], now, cookName)).toBeNull()
  })

  test('add what each cook worked, pauses left out, up to now', () => {
    const marks = [
      mark('labour-start', 0, 'marit'),
      mark('labour-start', 10, 'bruno'),
      mark('labour-pause', 15, 'bruno'),
      mark('labour-pause', 20, 'marit'),
      mark('labour-start', 50, 'marit'),
    ]
    expect(labourClocks(marks, now)).toEqual([
      { cookId: 'marit', ratePerHour: 21.4, minutes: 30, isRunning: true },
      { cookId: 'bruno', ratePerHour: 21.4, minutes: 5, isRunning: false },
    ])
    expect(labourFromMarks(marks, now, () => undefined)?.[0]?.task).toBe('break down')
    expect(labourFromMarks([...marks].reverse(), now, cookName)).toEqual([
      { task: 'break down, Marit', minutes: 30, ratePerHour: 21.4 },
      { task: 'break down, Bruno', minutes: 5, ratePerHour: 21.4 },
    ])
  })

  test('started twice, or sent twice, run once; a pause without a start changes nothing', () => {
    const start = mark('labour-start', 0, 'marit')
    const marks = [mark('labour-pause', 0, 'bruno'), start, start, mark('labour-start', 30, 'marit')]
    expect(labourClocks(marks, now)).toEqual([{ cookId: 'marit', ratePerHour: 21.4, minutes: 60, isRunning: true }])
  })

  test('never run backwards where two devices disagree about the time', () => {
    expect(labourClocks([mark('labour-start', 90, 'marit')], now)[0]?.minutes).toBe(0)
  })
})
