import { act, fireEvent, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { emptyDraft, keepDraft } from './lot-draft.ts'
import { Component as Receive } from './receive.tsx'

jest.mock('../../data/scale.ts', () => ({ useScale: () => ({ reading: null, connected: false }) }))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const ID = '019b76da-a861-7000-8000-0000000000aa'

async function show(isFault: boolean) {
  keepDraft({
    ...emptyDraft(ID, '2026-11-26', 'kg'),
    itemId: 'i',
    supplier: 'Ostravale Poultry Yard',
    price: { amount: 4, per: 'kg' },
    cases: [{ id: 'c', label: null, serial: null, invoiceWeight: 5000, weighed: null }],
    checks: [{ checkId: 'temperature', isFault, value: 9, note: null, worth: null }],
  })
  const asked = answerWith({
    [`GET ${BASE}/items`]: { body: [] },
    [`GET ${BASE}/suppliers`]: { body: [{ id: 's', name: 'Ostravale Poultry Yard', delivery: 0, minimumOrder: null }] },
    [`GET ${BASE}/cautions`]: { body: [] },
    [`PUT ${BASE}/suppliers`]: { body: [{ id: 's', name: 'Ostravale Poultry Yard' }] },
    [`POST ${BASE}/lots`]: { status: 201, body: { id: ID } },
  })
  await act(async () => void renderPart(<Receive />))
  await answered()
  return () => asked.find(({ method, path }) => method === 'POST' && path.endsWith('/lots'))?.body
}

test('where something is wrong refusing comes first, then quarantine, each with its reason', async () => {
  const sent = await show(true)
  const refuse = screen.getByRole('button', { name: 'Refuse it' })
  await touch(refuse)
  await answered()
  expect(screen.getByText('Say it here.')).toBeTruthy()
  expect(sent()).toBeUndefined()
  fireEvent.change(screen.getByLabelText(/why it is refused/), { target: { value: 'nine degrees' } })
  await touch(refuse)
  expect(sent()).toMatchObject({ standing: 'refused', standingReason: 'nine degrees' })
})

test('what is missing is said beside its field, and nothing is sent', async () => {
  const sent = await show(false)
  fireEvent.change(screen.getByLabelText(/^Price on the invoice/), { target: { value: 'dear' } })
  fireEvent.change(screen.getByLabelText('From'), { target: { value: '' } })
  await touch(screen.getByRole('button', { name: 'Accept delivery' }))
  await answered()
  expect(screen.getByText('Say who brought it.')).toBeTruthy()
  expect(screen.getByRole('alert').textContent).toBe('Check the highlighted fields.')
  expect(sent()).toBeUndefined()
})

test('what is right is accepted, and a kept draft of the version before is read', async () => {
  const sent = await show(false)
  expect(screen.queryByRole('button', { name: 'Refuse it' })).toBeNull()
  await touch(screen.getByRole('button', { name: 'Accept delivery' }))
  expect(sent()).toMatchObject({ standing: 'accepted', standingReason: null })
})
