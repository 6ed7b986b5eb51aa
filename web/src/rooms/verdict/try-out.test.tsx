import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { assumptionsOf } from '@fleam/contract/what-if/assumptions'
import type { WhatIf } from '@fleam/contract/what-if/schemas'
import { documentOf, type FabricationDocument } from '@fleam/core/fabrication'
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { reading } from '../../../../core/test/facts.ts'
import { LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { useWhatIfs } from '../../data/what-if-queries.ts'
import { AppraisedContext, useAppraisal } from '../../parts/appraised-context.ts'
import { AssumptionFields } from './assumption-fields.tsx'
import { TryOutBar } from './try-out-bar.tsx'
import { type TryOut, useTryOut } from './use-try-out.ts'
import { WhatIfs } from './what-ifs.tsx'

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
  itemId: null,
  item: 'Chicken',
  style: 'Supremes',
  species: 'poultry',
  styleId: null,
  lotId: null,
  units: 6,
  rhythm: 'unit',
  drawing: 'bird',
  shape: null,
  steps: [],
  choices: [],
  causes: [],
  settled: [],
  currency: 'EUR',
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12540 },
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  labourFrom: 'typed',
  priceFrom: 'typed',
  weightFrom: 'invoice',
  leftOut: null,
  consumables: [],
  piles: [pile('supremes', 'primary'), pile('bones', 'by-product'), pile('bin', 'waste')],
  offers: [],
  creditPolicy: 'used',
  allocation: 'value',
  confirmed: false,
  date: '2026-11-24',
  cookId: null,
  cook: null,
  supplierId: null,
  supplier: null,
  lot: null,
  notes: null,
  startedAt: '2026-11-24T08:00:00.000Z',
  closedAt: null,
  updatedAt: '2026-11-24T08:00:00.000Z',
}
const PATH = `/api/kitchens/${LARCH_HALT.id}/fabrications/${RECORD.id}`
const FACTS = [reading('a', 'supremes', 3000, { order: 1 }), reading('b', 'bones', 9000, { order: 2 })]
const documentWith = (tried?: Partial<FabricationRecord>): FabricationDocument =>
  documentOf({ ...RECORD, ...tried }, FACTS)

let tryOut: TryOut
const cost = () => screen.getByTestId('cost').textContent

/** The parts of the verdict that try something out, as they stand in it. */
function Tried() {
  const whatIfs = useWhatIfs(RECORD.id)
  tryOut = useTryOut(RECORD, whatIfs.kept.data ?? [])
  const appraised = useAppraisal(documentWith(tryOut.assumptions))
  return (
    <AppraisedContext value={appraised}>
      <p data-testid="cost">{appraised.appraisal.piles[0]?.costPerPortion?.toFixed(2)}</p>
      <TryOutBar record={RECORD} recorded={documentWith()} tryOut={tryOut} whatIfs={whatIfs} />
      <WhatIfs record={RECORD} documentWith={documentWith} tryOut={tryOut} whatIfs={whatIfs} />
      <AssumptionFields
        key={tryOut.fieldsKey}
        assumptions={tryOut.assumptions}
        currency="EUR"
        onChange={tryOut.change}
      />
    </AppraisedContext>
  )
}

const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
const kept = (name: string, amount: number): WhatIf => ({
  id: `019b76da-a8f2-7000-8003-${name.padStart(12, '0')}`,
  name,
  assumptions: {
    ...assumptionsOf(RECORD),
    purchase: { ...RECORD.purchase, price: { amount, per: 'kg' } },
  },
  createdAt: '2026-11-25T08:00:00.000Z',
})
const render = async (whatIfs: WhatIf[] = [], more: Parameters<typeof answerWith>[0] = {}) => {
  const asked = answerWith({ [`GET ${PATH}/what-ifs`]: { body: whatIfs }, ...more })
  await act(async () => void renderPart(<Tried />))
  return asked.filter((request) => request.method !== 'GET')
}

test('every figure follows as one types, and the record stays', async () => {
  await render()
  const before = cost()
  expect(screen.queryByLabelText('Tried out')).toBeNull()
  fill('Price, EUR', '4,35')
  // 12.6 kg dearer by 1.25, over four portions.
  expect(Number(cost())).toBeCloseTo(Number(before) + (12.6 * 1.25) / 4, 2)
  expect(screen.getByLabelText('Tried out').textContent).toMatch(/Purchase price €4\.35 per kg, not €3\.10 per kg/)
  await touch(screen.getByRole('button', { name: 'Back to the record' }))
  expect(cost()).toBe(before)
  expect((screen.getByLabelText('Price, EUR') as HTMLInputElement).value).toBe('3.1')
})

test('put into the record, the whole of it is sent at the version it was read at', async () => {
  const asked: unknown[] = []
  const answers = { [`PUT ${PATH}`]: { body: { record: RECORD } } }
  const sent = answerWith({ [`GET ${PATH}/what-ifs`]: { body: [] }, ...answers })
  await act(async () => void renderPart(<Tried />))
  fill('Price, EUR', '4,35')
  fill('Received', '12.5 kg')
  fill('Minutes to break down', '60')
  fill('Value of bones', '1,3')
  fill('Used share of bones', '0.7')
  fill('Value of bin', '-0.15')
  await touch(screen.getByRole('button', { name: 'Save to record' }))
  asked.push(...sent.filter((request) => request.method === 'PUT').map((request) => request.body))
  expect(asked[0]).toMatchObject({
    version: 3,
    purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12500 },
    labour: [{ minutes: 60, ratePerHour: 21.4 }],
    piles: [{ valuePerKg: null }, { valuePerKg: 1.3, usedShare: 0.7 }, { valuePerKg: -0.15 }],
  })
  expect(asked[0]).not.toHaveProperty('startedAt')
  await waitFor(() => expect(screen.queryByLabelText('Tried out')).toBeNull())
})

test('a value that cannot be is refused at once and not taken', async () => {
  await render()
  fill('Value of bin', '2')
  expect(screen.getByText('At most 0.')).toBeTruthy()
  fill('Price, EUR', 'cheap')
  expect(screen.getByText('This is not a number.')).toBeTruthy()
  expect(tryOut.assumptions.purchase.price.amount).toBe(3.1)
})

test('an offer can be added for a portion pile, and removed again', async () => {
  await render()
  await touch(screen.getByRole('button', { name: 'Add an offer' }))
  fill('Offer', 'Supremes, 20 x 280 g')
  fill('Pieces in it', '20')
  expect(tryOut.assumptions.offers).toMatchObject([
    { name: 'Supremes, 20 x 280 g', pileId: tryOut.assumptions.piles[0]?.id, pieces: 20, pieceWeight: 280 },
  ])
  await touch(screen.getByRole('button', { name: 'Remove this offer' }))
  expect(tryOut.assumptions.offers).toEqual([])
})

test('a cut network keeps what was typed and says so', async () => {
  await render()
  fill('Price, EUR', '5')
  await touch(screen.getByRole('button', { name: 'Save to record' }))
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('The server does not answer'))
  expect((screen.getByLabelText('Price, EUR') as HTMLInputElement).value).toBe('5')
})

test('kept under a name it is sent with that name, and opened', async () => {
  answerWith({ [`GET ${PATH}/what-ifs`]: { body: [] } })
  await act(async () => void renderPart(<Tried />))
  fill('Price, EUR', '5')
  fill('Name of this what-if', ' Dear birds ')
  const sent = answerWith({})
  await act(async () => {
    fireEvent.submit(screen.getByLabelText('Name of this what-if').closest('form') as HTMLFormElement)
  })
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({ name: 'Dear birds', assumptions: { purchase: { price: { amount: 5 } } } }),
  )
  const { path, body } = sent[0] as (typeof sent)[number]
  expect(path).toBe(`${PATH}/what-ifs/${(body as WhatIf).id}`)
})

test('kept ones stand beside the record, at most four at a time, and open', async () => {
  await render([1, 2, 3, 4, 5].map((price) => kept(`at ${price}`, price)))
  const table = (await screen.findByRole('heading', { name: 'What if' })).closest('section')
  const heads = () =>
    within(table as HTMLElement)
      .getAllByRole('columnheader')
      .map((element) => element.textContent)
  expect(heads()).toEqual(['Figure', 'The record', 'at 1', 'at 2', 'at 3', 'at 4'])
  expect((screen.getByLabelText('at 5') as HTMLInputElement).disabled).toBe(true)
  await touch(screen.getByLabelText('at 2'))
  await touch(screen.getByLabelText('at 5'))
  expect(heads()).toEqual(['Figure', 'The record', 'at 1', 'at 3', 'at 4', 'at 5'])
  await touch(screen.getByRole('button', { name: 'Open at 5' }))
  expect(screen.getByLabelText('Tried out').textContent).toContain('What if: at 5.')
  expect(tryOut.assumptions.purchase.price.amount).toBe(5)
})
