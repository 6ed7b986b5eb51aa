import type { ScaleStatus } from '@fleam/contract/scale/scale-line'
import { act, renderHook } from '@testing-library/react'
import { useBenchScale } from './use-bench-scale.ts'

let tell: (grams: number) => void = () => {}

beforeEach(() => localStorage.clear())

class StreamOfScale {
  onmessage: ((event: { data: string }) => void) | null = null
  constructor() {
    tell = (grams) => {
      const reading = { grams, tareGrams: 0, state: 'stable' as const, device: 'b', simulated: true }
      const status: ScaleStatus = { connected: true, address: 'x:1', reading }
      act(() => this.onmessage?.({ data: JSON.stringify(status) }))
    }
  }
  close() {}
}
Object.assign(globalThis, { EventSource: StreamOfScale })

test('pieces put beside each other count one by one, and undo gives back the last alone', () => {
  const { result } = renderHook(() => useBenchScale())
  const view = () => result.current.viewWith(0)
  const take = () => act(() => result.current.markTaken())
  tell(281)
  take()
  expect(view()).toEqual({ kind: 'taken', grams: 281 })
  tell(560)
  expect(view()).toEqual({ kind: 'ready', grams: 279, isAdded: true })
  take()
  act(() => result.current.forgetTaken())
  expect(view()).toEqual({ kind: 'ready', grams: 279, isAdded: true })
  tell(281)
  expect(view().kind).toBe('taken')
  tell(0)
  tell(290)
  expect(view()).toEqual({ kind: 'ready', grams: 290, isAdded: false })
})

test('a load that was taken and still lies there is not offered again on another record; another load is, all of it', () => {
  const first = renderHook(() => useBenchScale())
  tell(0)
  tell(281)
  expect(first.result.current.isFound).toBe(false)
  act(() => first.result.current.markTaken())
  first.unmount()
  const second = renderHook(() => useBenchScale())
  tell(281)
  expect(second.result.current.viewWith(0)).toEqual({ kind: 'taken', grams: 281 })
  second.unmount()
  const third = renderHook(() => useBenchScale())
  tell(1640)
  expect(third.result.current.viewWith(0)).toEqual({ kind: 'ready', grams: 1640, isAdded: false })
  // It came while nobody watched: it is there to take, and no touch that only chooses takes it.
  expect(third.result.current.isFound).toBe(true)
  tell(0)
  tell(300)
  expect(third.result.current.isFound).toBe(false)
})
