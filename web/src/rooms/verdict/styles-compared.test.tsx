import { act, fireEvent, screen, within } from '@testing-library/react'
import { readyForm, wholeForm } from '../../../../core/test/forms.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as StylesCompared } from './styles-compared.tsx'

const BASE = `GET /api/kitchens/${LARCH_HALT.id}`
const item = {
  id: 'i',
  name: 'Chicken, eviscerated',
  species: 'poultry',
  isArchived: false,
  unitName: { one: 'bird', many: 'birds' },
  styles: [
    {
      id: 'supremes-style',
      name: 'Supremes',
      isArchived: false,
      piles: [
        { id: 's', name: 'supremes', productId: 'p' },
        { id: 'b', name: 'bones', productId: null },
      ],
      options: [
        {
          id: 'wishbone',
          question: 'Wishbone',
          choices: [
            { id: 'out', name: 'Out first', why: '', minutes: 0.5, shares: { s: 0.006, b: -0.006 } },
            { id: 'in', name: 'Left in', why: '', minutes: 0, shares: {} },
          ],
        },
        {
          id: 'order',
          question: 'Order',
          choices: [
            { id: 'legs', name: 'Legs first', why: '', minutes: 0, shares: {} },
            { id: 'wings', name: 'Wings first', why: '', minutes: 0, shares: {} },
          ],
        },
      ],
    },
  ],
}
const forms = [
  wholeForm({ id: 'a' }),
  wholeForm({ id: 'b', supplier: 'Brindlemere Meats', unitWeight: 1000 }),
  wholeForm({ id: 'c', styleId: 'halves-style', style: 'Halves' }),
]

const PLATE = `/api/kitchens/${LARCH_HALT.id}/products/p/plate`
const product = (plate: object | null) => ({
  id: 'p',
  name: 'Chicken: supremes',
  pile: 'supremes',
  plateWeight: 250,
  plate,
  forms: 2,
})

async function show() {
  const asked = answerWith({
    [`${BASE}/items`]: { body: [item] },
    [`${BASE}/forms?item=i`]: { body: forms },
    [`${BASE}/forms?product=p`]: { body: [readyForm()] },
    [`${BASE}/products`]: { body: [product(null)] },
    [`PUT ${PLATE}`]: { body: [product({ by: 'pieces', count: 2 })] },
  } as never)
  await act(async () => void renderPart(<StylesCompared />))
  await screen.findAllByRole('table')
  await screen.findByRole('row', { name: /bought ready/ })
  return asked
}
const rows = () =>
  within(screen.getAllByRole('table')[0] as HTMLElement)
    .getAllByRole('rowheader')
    .map((element) => element.textContent)

test('each style stands once, from where its plate costs least, beside what is bought ready', async () => {
  await show()
  expect(rows()).toHaveLength(3)
  expect(rows()[0]).toContain('Supremes · Ostravale Poultry Yard')
  const ready = screen.getByRole('row', { name: /bought ready/ })
  expect(within(ready).getByText('–')).toBeTruthy()
})

test('no fewer than two stay, and a figure opens to its formula', async () => {
  await show()
  await touch(screen.getByLabelText(/^Halves/))
  expect(rows()).toHaveLength(2)
  expect((screen.getByLabelText(/^Supremes · Ostravale/) as HTMLInputElement).disabled).toBe(true)
  const row = screen.getByRole('row', { name: /Ostravale/ })
  await touch(within(row).getAllByRole('button')[0] as HTMLElement)
  expect(screen.getByRole('tooltip').textContent).toContain('cost of supremes')
})

test('choices within a style stand in money, and those without a difference say so', async () => {
  await show()
  const choices = within(screen.getByRole('region', { name: 'Choices within a style' }))
  const [usual, other] = choices.getAllByRole('row').slice(1)
  expect(usual?.textContent).toContain('Out first, as usual')
  const costs = [usual, other].map((row) => Number(/€(\d+\.\d\d)/.exec(row?.textContent ?? '')?.[1]))
  expect(costs[1]).toBeGreaterThan(costs[0] as number)
  expect(choices.getByText(/Legs first or Wings first: no difference/)).toBeTruthy()
})

test('a plate is assumed until the kitchen says once what it serves; then every figure follows', async () => {
  const asked = await show()
  const plates = () => screen.getByRole('region', { name: 'What a plate is' }).textContent
  expect(plates()).toContain('supremes 1 piece. Assumed of all: say once what you serve.')
  const before = rows().length
  await act(async () => {
    fireEvent.change(screen.getByLabelText('Pieces of supremes'), { target: { value: '2' } })
  })
  await answered()
  expect(asked.find(({ method }) => method === 'PUT')?.body).toEqual({ plate: { by: 'pieces', count: 2 } })
  expect(plates()).toContain('supremes 2 pieces.')
  expect(rows()).toHaveLength(before)
})
