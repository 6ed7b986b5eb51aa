import type { FabricationRecord } from '@fleam/contract'
import { act, fireEvent, screen } from '@testing-library/react'
import { LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { AssumptionsForm } from './assumptions-form.tsx'

const pile = (id: string, pileClass: 'primary' | 'by-product' | 'waste') => ({
  id,
  name: id,
  class: pileClass,
  weighing: 'whole' as const,
  expectedShare: null,
  portions: 4,
  target: null,
  low: null,
  high: null,
  valuePerKg: null,
  usedShare: null,
  processingPerKg: null,
})

const RECORD: FabricationRecord = {
  id: '019b76da-a8f2-7000-8003-cbb2874dc7a1',
  version: 3,
  status: 'closed',
  item: 'Chicken',
  style: 'Supremes',
  species: 'poultry',
  styleId: null,
  lotId: null,
  units: 6,
  rhythm: 'unit',
  drawing: 'bird',
  steps: [],
  choices: [],
  causes: [],
  currency: 'EUR',
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12540 },
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  consumables: [],
  piles: [pile('supremes', 'primary'), pile('bones', 'by-product'), pile('bin', 'waste')],
  offers: [],
  creditPolicy: 'used',
  allocation: 'value',
  confirmed: false,
  date: '2026-11-24',
  cook: null,
  supplier: null,
  lot: null,
  notes: null,
  startedAt: '2026-11-24T08:00:00.000Z',
  closedAt: null,
  updatedAt: '2026-11-24T08:00:00.000Z',
}
const PATH = `PUT /api/kitchens/${LARCH_HALT.id}/fabrications/${RECORD.id}`

const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
const save = () =>
  act(async () => {
    fireEvent.submit(screen.getByRole('button', { name: 'Save to the record' }).closest('form') as HTMLFormElement)
  })

test('sends the whole record with what was changed, at the version it was read at', async () => {
  const asked = answerWith({ [PATH]: { body: { record: RECORD } } })
  let saved = 0
  renderPart(<AssumptionsForm record={RECORD} onSaved={() => saved++} />)
  fill('Price, EUR', '4,35')
  fill('Received', '12.5 kg')
  fill('Minutes to break down', '60')
  fill('Value of bones', '1,3')
  fill('Used share of bones', '0.7')
  fill('Value of bin', '-0.15')
  await save()
  expect(asked[0]?.body).toMatchObject({
    version: 3,
    purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12500 },
    labour: [{ minutes: 60, ratePerHour: 21.4 }],
    piles: [{ valuePerKg: null }, { valuePerKg: 1.3, usedShare: 0.7 }, { valuePerKg: -0.15 }],
  })
  expect(asked[0]?.body).not.toHaveProperty('startedAt')
  expect(saved).toBe(1)
})

test('a value that cannot be is refused at once and not taken', async () => {
  const asked = answerWith({ [PATH]: { body: { record: RECORD } } })
  renderPart(<AssumptionsForm record={RECORD} onSaved={() => {}} />)
  fill('Value of bin', '2')
  expect(screen.getByText('At most 0.')).toBeTruthy()
  fill('Price, EUR', 'cheap')
  expect(screen.getByText('This is not a number.')).toBeTruthy()
  await save()
  expect(asked[0]?.body).toMatchObject({ purchase: { price: { amount: 3.1 } }, piles: [{}, {}, { valuePerKg: null }] })
})

test('an offer can be added for a portion pile, and removed again', async () => {
  const asked = answerWith({ [PATH]: { body: { record: RECORD } } })
  renderPart(<AssumptionsForm record={RECORD} onSaved={() => {}} />)
  await touch(screen.getByRole('button', { name: 'Add an offer' }))
  fill('Offer', 'Supremes, 20 x 280 g')
  fill('Pieces in it', '20')
  await save()
  expect(asked[0]?.body).toMatchObject({
    offers: [{ name: 'Supremes, 20 x 280 g', pile: 'supremes', pieces: 20, pieceWeight: 280 }],
  })
  await touch(screen.getByRole('button', { name: 'Remove this offer' }))
  await save()
  expect(asked[1]?.body).toMatchObject({ offers: [] })
})

test('a cut network keeps what was typed and says so', async () => {
  answerWith({})
  renderPart(<AssumptionsForm record={RECORD} onSaved={() => {}} />)
  fill('Price, EUR', '5')
  await save()
  expect(screen.getByRole('alert').textContent).toContain('The server does not answer')
  expect((screen.getByLabelText('Price, EUR') as HTMLInputElement).value).toBe('5')
})
