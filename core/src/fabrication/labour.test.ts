import fc from 'fast-check'
import { mark as madeMark } from '../../test/facts.ts'
import { type LabourSource, labourAnswered, labourAtEnd, labourDoubt, labourSoFar } from './index.ts'

const START = Date.UTC(2026, 10, 24, 8)
const at = (minute: number) => new Date(START + minute * 60_000).toISOString()
const plan = (minutes: number, labourFrom: LabourSource = 'assumed') => ({
  labour: [{ task: 'break down', minutes, ratePerHour: 20 }],
  labourFrom,
})
/** One cook's clock that ran so long. */
const clocked = (minutes: number, ratePerHour = 20) => [
  madeMark('a', 'labour-start', 1, { cookId: 'marit', ratePerHour, takenAt: at(0) }),
  madeMark('b', 'labour-pause', 2, { cookId: 'marit', takenAt: at(minutes) }),
]
const END = START + 1_000 * 60_000
const name = () => 'Marit'
const soFar = (expected: number, minutes: number, from: LabourSource = 'assumed') =>
  labourSoFar(plan(expected, from), clocked(minutes), END, name)
const minutesOf = ({ entries }: { entries: readonly { minutes: number }[] }) =>
  entries.reduce((sum, entry) => sum + entry.minutes, 0)

describe('labour while the work goes on', () => {
  test('is what was expected until the clocks say more', () => {
    expect(soFar(132, 1.5)).toEqual({ entries: plan(132).labour, source: 'assumed' })
    expect(soFar(132, 130)).toMatchObject({ source: 'assumed' })
    expect(soFar(132, 150)).toEqual({
      entries: [{ task: 'break down, Marit', minutes: 150, ratePerHour: 20 }],
      source: 'timed',
    })
  })

  test('is not what a forgotten clock says', () => {
    expect(soFar(132, 300)).toMatchObject({ source: 'assumed' })
  })

  test('is what the clocks say where nothing was expected', () => {
    expect(soFar(0, 12)).toMatchObject({ source: 'timed', entries: [{ minutes: 12 }] })
  })

  test.each(['typed', 'expected'] as const)('is left alone by clocks where it is %s', (source) => {
    expect(soFar(132, 150, source)).toEqual({ entries: plan(132).labour, source })
  })

  test('starting a clock never lowers what is shown, whoever it is and whatever an hour costs', () => {
    const paid = (labour: { entries: readonly { minutes: number; ratePerHour: number }[] }) =>
      labour.entries.reduce((sum, { minutes, ratePerHour }) => sum + minutes * ratePerHour, 0)
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 60 }),
        (expected, minutes, rate) => {
          const labour = labourSoFar(plan(expected), clocked(minutes, rate), END, name)
          expect(paid(labour)).toBeGreaterThanOrEqual(expected * 20)
        },
      ),
    )
  })
})

describe('labour at the end', () => {
  test('is the clocks’ where they are near what was expected, less too', () => {
    expect(labourAtEnd(plan(132), clocked(100), END, name)).toMatchObject({
      source: 'timed',
      entries: [{ minutes: 100 }],
    })
    expect(labourDoubt(plan(132), clocked(100), END)).toBeNull()
    expect(labourDoubt(plan(132), clocked(66), END)).toBeNull()
    expect(labourDoubt(plan(132), clocked(264), END)).toBeNull()
  })

  test('is what was expected where the clocks are far off, and is asked about until it is answered', () => {
    expect(labourAtEnd(plan(132), clocked(1.5), END, name)).toMatchObject({ source: 'assumed' })
    expect(labourDoubt(plan(132), clocked(1.5), END)).toEqual({ timedMinutes: 1.5, expectedMinutes: 132 })
    expect(labourDoubt(plan(132), clocked(265), END)).toEqual({ timedMinutes: 265, expectedMinutes: 132 })
    expect(labourDoubt(plan(132, 'expected'), clocked(1.5), END)).toBeNull()
    expect(labourDoubt(plan(132), [], END)).toBeNull()
  })

  test('each answer is followed', () => {
    const answered = (answer: Parameters<typeof labourAnswered>[4]) =>
      labourAnswered(plan(132), clocked(1.5), END, name, answer)
    expect(answered({ source: 'timed' })).toMatchObject({ source: 'timed', entries: [{ minutes: 1.5 }] })
    expect(answered({ source: 'expected' })).toEqual({ source: 'expected', entries: plan(132).labour })
    const two = { labour: [...plan(90).labour, ...plan(30).labour], labourFrom: 'assumed' as const }
    const typed = labourAnswered(two, [], END, name, { source: 'typed', minutes: 60 })
    expect([typed.source, minutesOf(typed), typed.entries[0]?.minutes]).toEqual(['typed', 60, 45])
  })
})
