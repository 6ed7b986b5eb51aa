import { coldClock, labourClocks, labourFromMarks, type Mark, type MarkKind } from './marks.ts'

let count = 0
const at = (minute: number) => new Date(Date.UTC(2026, 10, 24, 8, minute)).toISOString()
const mark = (kind: MarkKind, minute: number, cook: string | null = null): Mark => ({
  id: `m${String(count++).padStart(3, '0')}`,
  kind,
  cook,
  ratePerHour: kind === 'labour-start' ? 21.4 : null,
  step: null,
  takenAt: at(minute),
})
const now = Date.parse(at(60))

describe('clocks of cooks', () => {
  test('without one, the minutes of the style hold', () => {
    expect(labourFromMarks([mark('cold-in', 3)], now)).toBeNull()
  })

  test('add what each cook worked, pauses left out, up to now', () => {
    const marks = [
      mark('labour-start', 0, 'Marit'),
      mark('labour-start', 10, 'Bruno'),
      mark('labour-pause', 20, 'Marit'),
      mark('labour-start', 50, 'Marit'),
      mark('labour-pause', 15, 'Bruno'),
    ]
    expect(labourClocks(marks, now)).toEqual([
      { cook: 'Marit', ratePerHour: 21.4, minutes: 30, isRunning: true },
      { cook: 'Bruno', ratePerHour: 21.4, minutes: 5, isRunning: false },
    ])
    expect(labourFromMarks([...marks].reverse(), now)).toEqual([
      { task: 'break down, Marit', minutes: 30, ratePerHour: 21.4 },
      { task: 'break down, Bruno', minutes: 5, ratePerHour: 21.4 },
    ])
  })

  test('started twice, or sent twice, run once; a pause without a start changes nothing', () => {
    const start = mark('labour-start', 0, 'Marit')
    const marks = [mark('labour-pause', 0, 'Bruno'), start, start, mark('labour-start', 30, 'Marit')]
    expect(labourClocks(marks, now)).toEqual([{ cook: 'Marit', ratePerHour: 21.4, minutes: 60, isRunning: true }])
  })

  test('never run backwards where two devices disagree about the time', () => {
    expect(labourClocks([mark('labour-start', 90, 'Marit')], now)[0]?.minutes).toBe(0)
  })
})

describe('the clock of the cold', () => {
  const limits = { boardMinutes: 30, outMinutes: 120 }

  test('runs from the start, and turns amber and then red', () => {
    const level = (minute: number) => coldClock([], at(0), Date.parse(at(minute)), limits).level
    expect([level(0), level(23), level(24), level(29), level(30)]).toEqual(['ok', 'ok', 'amber', 'amber', 'red'])
  })

  test('starts anew when the batch comes out again, and adds up in all', () => {
    const marks = [mark('cold-in', 20), mark('cold-out', 50)]
    expect(coldClock(marks, at(0), now, limits)).toEqual({ isOut: true, boardMinutes: 10, outMinutes: 30, level: 'ok' })
    expect(coldClock(marks.slice(0, 1), at(0), now, limits)).toMatchObject({
      isOut: false,
      boardMinutes: 0,
      outMinutes: 20,
    })
  })

  test('is red for good when it was out for too long in all', () => {
    const marks = Array.from({ length: 6 }, (_, round) => [
      mark('cold-in', 25 + round * 30),
      mark('cold-out', 30 + round * 30),
    ]).flat()
    expect(coldClock(marks, at(0), Date.parse(at(181)), limits)).toMatchObject({ boardMinutes: 1, level: 'red' })
  })
})
