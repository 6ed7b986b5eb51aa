import { streamWhileSeen } from './seen-stream.ts'

let visibility: DocumentVisibilityState = 'visible'
Object.defineProperty(document, 'visibilityState', { get: () => visibility })
const become = (next: DocumentVisibilityState) => {
  visibility = next
  document.dispatchEvent(new Event('visibilitychange'))
}

test('a stream is open while the page is seen, and once', () => {
  const done: string[] = []
  const stop = streamWhileSeen(() => {
    done.push('open')
    return { close: () => done.push('close') } as unknown as EventSource
  })
  become('visible')
  become('hidden')
  become('hidden')
  become('visible')
  stop()
  become('hidden')
  become('visible')
  expect(done).toEqual(['open', 'close', 'open', 'close'])
})

test('a page that opens out of sight waits', () => {
  const done: string[] = []
  become('hidden')
  const stop = streamWhileSeen(() => {
    done.push('open')
    return { close: () => done.push('close') } as unknown as EventSource
  })
  expect(done).toEqual([])
  become('visible')
  expect(done).toEqual(['open'])
  stop()
})
