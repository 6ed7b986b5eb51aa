import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import type { Item } from '@fleam/core/style'
import { act, fireEvent, screen } from '@testing-library/react'
import { sixChickens } from '../../../../../core/test/documents.ts'
import { quote, wholeForm } from '../../../../../core/test/forms.ts'
import { LARCH_HALT, renderPart } from '../../../../test/render.tsx'
import { answerWith, problemOf } from '../../../../test/server.ts'
import { StartForm } from './start-form.tsx'

const STYLE: Item['styles'][number] = {
  id: '019b76da-a8f2-7000-8003-000000000001',
  version: 1,
  isArchived: false,
  name: 'Supremes',
  minutesPerUnit: 9,
  piles: [],
  steps: [],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { id: 'out', name: 'Out first', why: 'More meat.', minutes: 0, shares: {}, order: null },
        { id: 'left', name: 'Leave it', why: 'Quicker.', minutes: -0.5, shares: {}, order: null },
      ],
    },
  ],
  consumables: [],
}
const ITEM: Item = {
  id: '019b76da-a8f2-7000-8003-000000000002',
  name: 'Chicken',
  species: 'poultry',
  drawing: 'bird',
  shape: null,
  landmarks: [],
  isArchived: false,
  unitName: { one: 'bird', many: 'birds' },
  unitWeight: { low: 1600, usual: 2100, high: 2600 },
  styles: [STYLE],
}
const COOK = { id: '019b76da-a8f2-7000-8003-000000000003', name: 'Ondine', wagePerHour: 21.4, week: null, skills: null }
const SUPPLIERS = `PUT /api/kitchens/${LARCH_HALT.id}/suppliers`
const known = { body: [{ id: 'ostravale', name: 'Ostravale Poultry Yard', delivery: 0, minimumOrder: null }] }
const POST = `POST /api/kitchens/${LARCH_HALT.id}/fabrications`

const last = {
  id: 'x',
  status: 'closed',
  itemId: '019b76da-a8f2-7000-8003-000000000002',
  styleId: '019b76da-a8f2-7000-8003-000000000001',
  cookId: '019b76da-a8f2-7000-8003-000000000003',
  startedAt: '',
  updatedAt: '',
  document: sixChickens({
    item: 'Chicken',
    style: 'Supremes',
    meta: { supplier: 'Ostravale Poultry Yard', cook: 'Ondine' },
  }),
  expected: null,
} as unknown as FabricationRow

const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
/** What was sent, beside what the form reads for itself. */
const sentOf = <T extends { method: string }>(asked: readonly T[]) => asked.filter(({ method }) => method !== 'GET')
const submit = () =>
  act(async () => {
    fireEvent.submit(screen.getByRole('button', { name: 'Start weighing' }).closest('form') as HTMLFormElement)
  })

test('needs the invoice’s weight alone where everything else is as last time', async () => {
  const asked = answerWith({ [SUPPLIERS]: known, [POST]: { status: 201, body: { record: { id: 'new' } } } })
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} />)
  fill('Weight on the invoice', '12,6 kg')
  await submit()
  expect(sentOf(asked)[1]?.body).toMatchObject({
    styleId: STYLE.id,
    units: 6,
    purchase: { price: { amount: 4.35, per: 'kg' }, invoiceWeight: 12600, pieces: 6, extras: 3 },
    cookId: COOK.id,
    supplierId: 'ostravale',
  })
  expect(sentOf(asked)[1]?.body).toHaveProperty('id', expect.stringMatching(/^[0-9a-f-]{36}$/))
})

test('says what is missing instead of sending half of it', async () => {
  const asked = answerWith({})
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[]} />)
  fill('How many birds', '1,5')
  fill('Weight on the invoice', 'heavy')
  fill('Weight on the invoice', '')
  await submit()
  expect(sentOf(asked)).toEqual([])
  expect(screen.getByRole('alert').textContent).toBe('Check the highlighted fields.')
  expect(screen.getByText('What does the invoice say?')).toBeTruthy()
})

test('a refusal is shown by field, and what was typed stays', async () => {
  answerWith({
    [SUPPLIERS]: known,
    [POST]: problemOf('invalid-input', 400, [
      { path: 'purchase.purge', message: 'must not be more than what was received' },
    ]),
  })
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} />)
  fill('Weight on the invoice', '100')
  fill('Liquid drained', '200')
  await submit()
  expect(screen.getByRole('alert').textContent).toContain('purchase.purge must not be more')
  expect((screen.getByLabelText('Liquid drained') as HTMLInputElement).value).toBe('200')
})

test('a start without a price leaves it to the price book, and one typed with its unit is understood', async () => {
  const asked = answerWith({ [SUPPLIERS]: known, [POST]: { status: 201, body: { record: { id: 'new' } } } })
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} />)
  fill('Weight on the invoice', '12.6 kg')
  fill('Price, EUR', '')
  await submit()
  expect(sentOf(asked)[1]?.body).toMatchObject({ purchase: { price: null } })
  fill('Price, EUR', '$1.89/lb')
  await submit()
  expect(sentOf(asked)[3]?.body).toMatchObject({ purchase: { price: { amount: 1.89, per: 'lb' } } })
  fill('Price, EUR', 'much')
  await submit()
  expect(sentOf(asked)).toHaveLength(4)
})

test('nonsense is asked about at once, and a bare number is in the unit of the field beside it', () => {
  answerWith({})
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} />)
  const question = () => screen.getByRole('status', { name: 'Question' }).textContent
  fill('Weight on the invoice', '12.6')
  expect(question()).toContain('for one bird')
  fill('Weight on the invoice', '12.60 kg')
  expect(question()).toBe('')
  fill('Weight received', '12.5')
  expect(question()).toBe('')
  expect(screen.getByText(/= 12\.50/)).toBeTruthy()
  fill('Weight received', '10.1 g')
  expect(question()).toContain('of the invoice’s weight was received')
  fill('Price, EUR', '0.00')
  expect(question()).toContain('A price of 0.00')
})

test('a batch that is too large for the board is parted into loads', () => {
  answerWith({})
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} />)
  fill('How many birds', '12')
  expect(screen.getByText(/at a time/).textContent).toMatch(
    /12 birds are about 108\smin of one cook\. Take 3 birds out of the fridge at a time, 4 loads/,
  )
  fill('How many birds', '2')
  expect(screen.queryByText(/at a time/)).toBeNull()
})

test('a kitchen without styles says so', () => {
  renderPart(<StartForm items={[]} cooks={[]} latest={[]} />)
  expect(screen.getByText('This kitchen has no cut styles yet.')).toBeTruthy()
})

test('planned work starts with the article of its plan, and says that its weight is estimated', async () => {
  const asked = answerWith({ [SUPPLIERS]: known, [POST]: { status: 201, body: { record: { id: 'new' } } } })
  const planned = { id: 'p', styleId: STYLE.id, units: 4, cookId: COOK.id, begins: null, lotId: null } as never
  const form = wholeForm({ supplier: 'Ostravale Poultry Yard', quote: quote(2.9, 'kg', { delivery: 12 }) })
  renderPart(<StartForm items={[ITEM]} cooks={[COOK]} latest={[last]} planned={planned} plannedForm={form} />)
  expect(screen.getByText(/^estimated, about .* each: type what the invoice says$/)).toBeTruthy()
  expect(screen.queryByText(/as last time/)).toBeNull()
  await submit()
  expect(sentOf(asked)[1]?.body).toMatchObject({
    purchase: { price: { amount: 2.9, per: 'kg' }, extras: 12, pieces: 4 },
    plannedId: 'p',
    weightFrom: 'estimated',
  })
})
