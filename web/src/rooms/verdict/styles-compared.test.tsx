import { act, screen, within } from '@testing-library/react'
import { readyForm, wholeForm } from '../../../../core/test/forms.ts'
import { LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as StylesCompared } from './styles-compared.tsx'

const BASE = `GET /api/kitchens/${LARCH_HALT.id}`
const item = {
  id: 'i',
  name: 'Chicken, eviscerated',
  species: 'poultry',
  isArchived: false,
  styles: [
    {
      piles: [
        { name: 'supremes', productId: 'p' },
        { name: 'bones', productId: null },
      ],
    },
  ],
}
const forms = [
  wholeForm({ id: 'a' }),
  wholeForm({ id: 'b', supplier: 'Brindlemere Meats', unitWeight: 1000 }),
  wholeForm({ id: 'c', style: 'Halves' }),
]

async function show() {
  answerWith({
    [`${BASE}/items`]: { body: [item] },
    [`${BASE}/forms?item=i`]: { body: forms },
    [`${BASE}/forms?product=p`]: { body: [readyForm()] },
  } as never)
  await act(async () => void renderPart(<StylesCompared />))
  await screen.findByRole('table')
  await screen.findByRole('row', { name: /bought ready/ })
}
const rows = () =>
  within(screen.getByRole('table'))
    .getAllByRole('rowheader')
    .map((each) => each.textContent)

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
