import { act, renderHook } from '@testing-library/react'
import { useWakeLock } from './use-wake-lock.ts'

test('the screen is held awake while the bench is open, again after it was out of sight, and let go after', async () => {
  const done: string[] = []
  const lock = { release: async () => void done.push('release') }
  const request = async (type: string) => {
    done.push(`hold ${type}`)
    return lock
  }
  Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true })
  const { unmount } = renderHook(() => useWakeLock())
  await act(async () => {})
  await act(async () => void document.dispatchEvent(new Event('visibilitychange')))
  unmount()
  expect(done).toEqual(['hold screen', 'hold screen', 'release'])
})

test('a browser that refuses it, or has none, does without', async () => {
  Object.defineProperty(navigator, 'wakeLock', {
    value: { request: () => Promise.reject(new Error('no')) },
    configurable: true,
  })
  const { unmount } = renderHook(() => useWakeLock())
  await act(async () => {})
  expect(() => unmount()).not.toThrow()
})
