/** What jsdom lacks and the page's packages expect. */
import { TextDecoder, TextEncoder } from 'node:util'
import 'fake-indexeddb/auto'

class NoResizeObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
Object.assign(globalThis, {
  TextEncoder,
  TextDecoder,
  structuredClone: (value: unknown) => JSON.parse(JSON.stringify(value)),
  ResizeObserver: NoResizeObserver,
})
