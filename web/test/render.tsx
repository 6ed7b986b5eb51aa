import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, fireEvent, render, screen } from '@testing-library/react'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router-dom'
import { KitchenContext } from '../src/data/kitchen-context.ts'
import { AppraisedContext, useAppraisal } from '../src/parts/appraised-context.ts'

export const LARCH_HALT: Kitchen = {
  id: '019b76da-a861-7000-8000-000000000001',
  name: 'Larch Halt',
  currency: 'EUR',
  units: 'metric',
  decimalMark: 'point',
  timeZone: 'Europe/Vienna',
  wagePerHour: 21.4,
  lightPlates: 'whole',
  address: null,
}

interface RenderOptions {
  kitchen?: Kitchen
  document?: FabricationDocument
  /** Address at which it stands. */
  path?: string
}

function Appraised({ document, children }: { document: FabricationDocument; children: ReactNode }) {
  return <AppraisedContext value={useAppraisal(document)}>{children}</AppraisedContext>
}

/** What cannot be fetched here fails at once: asking again would only make a test wait. */
const newQueries = () => new QueryClient({ defaultOptions: { queries: { retry: false } } })

/** The questions and answers of what was rendered last. */
let queries = newQueries()

/** Renders a part as it stands in a room: with a kitchen, a router, and a document where it needs one. */
export function renderPart(part: ReactNode, { kitchen = LARCH_HALT, document, path = '/' }: RenderOptions = {}) {
  queries = newQueries()
  return render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[path]}>
        <KitchenContext value={kitchen}>
          {document ? <Appraised document={document}>{part}</Appraised> : part}
        </KitchenContext>
      </MemoryRouter>
    </QueryClientProvider>,
  )
}

/** Everything that a clock does but telling the time. */
const RUNNING = [
  ...(['hrtime', 'nextTick', 'performance', 'queueMicrotask', 'requestAnimationFrame'] as const),
  ...(['cancelAnimationFrame', 'requestIdleCallback', 'cancelIdleCallback', 'setImmediate'] as const),
  ...(['clearImmediate', 'setInterval', 'clearInterval', 'setTimeout', 'clearTimeout'] as const),
]

/** From here on it is this time, until `jest.useRealTimers()`; timers run as ever. */
export const setClock = (instant: string) => jest.useFakeTimers({ now: new Date(instant), doNotFake: RUNNING })

/** Touches something and waits for what opens. */
export const touch = (element: HTMLElement) =>
  act(async () => {
    fireEvent.click(element)
  })

/** Chooses one of many by its name, in a field that is searched. */
export async function choose(label: string, name: string): Promise<void> {
  await act(async () => {
    const field = screen.getByLabelText(label, { selector: 'input' })
    fireEvent.focus(field)
    fireEvent.change(field, { target: { value: name } })
  })
  await touch(screen.getByRole('option', { name }))
}

const QUIET_TURNS = 5

/** Until everything that the page asks is answered, and what it asked because of an answer, too. */
export async function answered(): Promise<void> {
  let quiet = 0
  while (quiet < QUIET_TURNS) {
    await act(() => new Promise((resolve) => setTimeout(resolve)))
    quiet = queries.isFetching() + queries.isMutating() === 0 ? quiet + 1 : 0
  }
}
