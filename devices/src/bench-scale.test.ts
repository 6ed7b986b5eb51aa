import { BenchScale, KITCHEN_BENCH_SCALE } from './bench-scale.ts'

const TICK_MS = 40

/** Reads the scale at every tick for a while and returns what it showed last. */
function watch(scale: BenchScale, fromMs: number, forMs: number) {
  const shown = []
  for (let at = fromMs; at <= fromMs + forMs; at += TICK_MS) shown.push(scale.read(at))
  return { shown, last: shown.at(-1) as (typeof shown)[number] }
}
const newScale = () => new BenchScale(KITCHEN_BENCH_SCALE, () => 0.7)

test('a load arrives moving, then settles to the gram within a second', () => {
  const scale = newScale()
  scale.read(0)
  scale.put(281, 0)
  const { shown, last } = watch(scale, 0, 1000)
  expect(shown[1]?.state).toBe('moving')
  expect(last).toEqual({ weight: 281, state: 'stable', tare: 0 })
})

test('what it shows is a multiple of its step, and holds still once stable', () => {
  const scale = newScale()
  scale.put(281.4, 0)
  watch(scale, 0, 1000)
  const { shown } = watch(scale, 1040, 4000)
  expect(new Set(shown.map((row) => row.weight))).toEqual(new Set([281]))
})

test('tare takes the container off, lifting everything shows it negative', () => {
  const scale = newScale()
  scale.put(300, 0)
  watch(scale, 0, 1000)
  scale.tare(1000)
  scale.put(581, 1000)
  expect(watch(scale, 1000, 1000).last.weight).toBe(281)
  scale.put(0, 2000)
  expect(watch(scale, 2000, 1000).last.weight).toBe(-300)
})

test('says over and under range', () => {
  const scale = newScale()
  scale.put(20_000, 0)
  expect(watch(scale, 0, 1000).last.state).toBe('over')
  scale.put(-100, 1000)
  expect(watch(scale, 1000, 1000).last.state).toBe('under')
})

test('zero forgets the tare', () => {
  const scale = newScale()
  scale.put(50, 0)
  watch(scale, 0, 1000)
  scale.tare(1000)
  scale.zero(1000)
  expect(watch(scale, 1040, 200).last).toMatchObject({ weight: 50, tare: 0 })
})
