import type { ScaleView } from '@fleam/core/weighing'
import { act, renderHook } from '@testing-library/react'
import { useAutoTake } from './use-auto-take.ts'

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

const ready = (grams: number): ScaleView => ({ kind: 'ready', grams, isAdded: false })

function watch(isOn = true) {
  const done: string[] = []
  const props = { isOn, view: { kind: 'empty' } as ScaleView, isPlausible: true }
  const hook = renderHook(
    (now: typeof props) => useAutoTake({ ...now, take: () => done.push('take'), ask: () => done.push('ask') }),
    { initialProps: props },
  )
  const show = (view: ScaleView, isPlausible = true) => {
    hook.rerender({ ...props, view, isPlausible })
    act(() => jest.advanceTimersByTime(600))
  }
  return { done, show, hook }
}

test('takes a load that has settled, once', () => {
  const { done, show } = watch()
  show(ready(281))
  show(ready(281))
  expect(done).toEqual(['take'])
})

test('leaves a load alone that moves on before it lay still', () => {
  const { done, show, hook } = watch()
  hook.rerender({ isOn: true, view: ready(150), isPlausible: true })
  act(() => jest.advanceTimersByTime(100))
  show({ kind: 'moving', grams: 200 })
  expect(done).toEqual([])
  show(ready(281))
  expect(done).toEqual(['take'])
})

test('asks where the weight does not look right for the pile', () => {
  const { done, show } = watch()
  show(ready(3900), false)
  expect(done).toEqual(['ask'])
})

test('what was undone is left alone until the plate was empty', () => {
  const { done, show, hook } = watch()
  hook.result.current.leaveAlone(281)
  show(ready(281))
  expect(done).toEqual([])
  show({ kind: 'empty' })
  show(ready(281))
  expect(done).toEqual(['take'])
})

test('does nothing unless it is switched on', () => {
  const { done, show } = watch(false)
  show(ready(281))
  expect(done).toEqual([])
})
