import { fireEvent, screen, waitFor } from '@testing-library/react'
import { answered, renderPart } from './render.tsx'

/** Until nothing is fetched or worked out any more. */
export async function settle(): Promise<void> {
  await answered()
  await waitFor(() => expect(screen.queryAllByText(/^Fetching/)).toHaveLength(0), { timeout: 15_000 })
  await answered()
}

/** A page with its first answers. */
export async function showSettled(part: React.ReactNode) {
  const view = renderPart(part)
  await settle()
  await settle()
  return view
}

/** Types into one of the fields of a label. */
export const fill = (label: string | RegExp, value: string, at = 0) =>
  fireEvent.change(screen.getAllByLabelText(label)[at] as HTMLElement, { target: { value } })

/** What lines and drawings need, and jsdom lacks. */
export function fakeDrawing(): void {
  Object.assign(globalThis, {
    EventSource: class {
      close() {}
    },
  })
  // jsdom lays nothing out and captures no pointers.
  Object.assign(Element.prototype, { setPointerCapture() {} })
}
