import fc from 'fast-check'
import { type ChartPoint, controlChart } from './control-chart.ts'

const points = (values: readonly number[], changes: readonly number[] = []): ChartPoint[] =>
  values.map((value, index) => ({
    id: String(index),
    day: '2026-11-01',
    value,
    isNewBaseline: changes.includes(index),
  }))
const steady = [10, 11, 10, 12, 11, 10, 11, 12]

test('limits are the mean and 2.66 mean moving ranges of the first twenty', () => {
  const { limits } = controlChart(points([...steady, ...Array(30).fill(11)]))
  const first = [...steady, ...Array(12).fill(11)]
  const centre = first.reduce((sum, value) => sum + value, 0) / 20
  const range = first.slice(1).reduce((sum, value, at) => sum + Math.abs(value - (first[at] as number)), 0) / 19
  expect(limits).toHaveLength(1)
  expect(limits[0]?.centre).toBeCloseTo(centre, 12)
  expect(limits[0]?.high).toBeCloseTo(centre + 2.66 * range, 12)
})

test('below eight records nothing is said', () => {
  expect(controlChart(points(steady.slice(1)))).toEqual({ limits: [], signals: [] })
  expect(controlChart([])).toEqual({ limits: [], signals: [] })
})

test('a point outside, and a run on one side however long, are one signal each', () => {
  const { signals } = controlChart(
    points([...steady, 10, 11, 12, 10, 11, 10, 12, 11, 10, 11, 12, 11, 30, 10, ...Array(10).fill(12)]),
  )
  expect(signals).toEqual([
    { kind: 'outside', side: 'high', from: 20, to: 20 },
    { kind: 'run', side: 'high', from: 22, to: 31 },
  ])
})

test('something that changed for good begins a new baseline', () => {
  const dropped = points([...steady, ...steady, ...steady.map((value) => value - 5)], [16])
  expect(controlChart(dropped).signals).toEqual([])
  expect(controlChart(dropped).limits.map(({ from, to }) => [from, to])).toEqual([
    [0, 15],
    [16, 23],
  ])
  expect(controlChart(points(dropped.map(({ value }) => value))).signals.length).toBeGreaterThan(0)
})

test('the same everywhere has no signal, and every signal lies inside the points', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 60 }), (values) => {
      const { signals, limits } = controlChart(points(values))
      for (const { from, to } of signals) expect(from >= 0 && from <= to && to < values.length).toBe(true)
      for (const { low, centre, high } of limits) expect(low <= centre && centre <= high).toBe(true)
      expect(controlChart(points(values.map(() => 0.3))).signals).toEqual([])
    }),
  )
})
