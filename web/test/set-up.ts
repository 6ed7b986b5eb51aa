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

/** The labels of a field, by its id or around it: jsdom walks the whole page for each of them, and rooms have many. */
function labelsOf(this: HTMLElement): HTMLLabelElement[] {
  const named = this.id ? [...this.ownerDocument.querySelectorAll<HTMLLabelElement>(`label[for="${this.id}"]`)] : []
  const around = this.closest('label')
  return around && !around.htmlFor ? [...named, around] : named
}
for (const field of [HTMLInputElement, HTMLSelectElement, HTMLTextAreaElement, HTMLButtonElement]) {
  Object.defineProperty(field.prototype, 'labels', { get: labelsOf })
}
