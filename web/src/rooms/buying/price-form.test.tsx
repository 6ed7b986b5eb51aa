import { act, fireEvent, screen, waitFor } from '@testing-library/react'
import { answered, choose, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith, problemOf } from '../../../test/server.ts'
import { PriceForm } from './price-form.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const SUPPLIERS = [{ id: 's', name: 'Ostravale Poultry Yard', delivery: 3, minimumOrder: null }]
const READ = {
  [`GET ${BASE}/items`]: { body: [{ id: 'i', name: 'Duck', isArchived: false, styles: [] }] },
  [`GET ${BASE}/products`]: { body: [{ id: 'd', name: 'Duck: breasts', pile: 'breasts', plateWeight: 276, forms: 0 }] },
  [`GET ${BASE}/suppliers`]: { body: SUPPLIERS },
}
const RESULT = { rows: 1, newArticles: 1, changedArticles: 0, newPrices: 1, known: 0 }
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
const keep = () => touch(screen.getByRole('button', { name: 'Save this price' }))

async function show(answer: object = { body: RESULT }, done: string[] = []) {
  const asked = answerWith({
    ...READ,
    [`PUT ${BASE}/suppliers`]: { body: SUPPLIERS },
    [`POST ${BASE}/prices`]: answer,
  } as never)
  await act(async () => {
    renderPart(<PriceForm onDone={() => done.push('done')} />)
  })
  await answered()
  return { done, sent: () => asked.filter((request) => request.method === 'POST').map((request) => request.body) }
}

test('a price of something that is cut here is sent with its item, and the number stands for a missing code', async () => {
  const { done, sent } = await show()
  fill('Supplier', 'ostravale poultry yard')
  fill('Article', 'Duck 2.4 kg')
  await choose('Cut as', 'Duck')
  fill('Price, EUR', '6,90')
  fill('One piece weighs', '2,4 kg')
  await keep()
  await waitFor(() => expect(done).toEqual(['done']))
  expect(sent()).toMatchObject([
    {
      supplierId: 's',
      code: 'Duck 2.4 kg',
      kind: 'whole',
      itemId: 'i',
      productId: null,
      price: { amount: 6.9, per: 'kg' },
      pieceWeight: 2400,
      until: null,
    },
  ])
})

test('what is bought ready asks for its product, its usable share and its handling, and a case for its pieces', async () => {
  const { sent } = await show()
  expect(screen.queryByLabelText('Pieces in it')).toBeNull()
  fill('It is', 'ready')
  await choose('Served as', 'Duck: breasts')
  fill('Supplier', 'Plattenkar Provisions')
  fill('Article', 'Breasts')
  fill('Price, EUR', '90')
  fill('For', 'case')
  fill('Pieces in it', '12')
  fill('Usable share, 0 to 1', '0,98')
  await keep()
  expect(sent()).toMatchObject([
    {
      kind: 'ready',
      itemId: null,
      productId: 'd',
      price: { amount: 90, per: 'case' },
      packPieces: 12,
      usableShare: 0.98,
    },
  ])
})

test('without a supplier, a name or a price nothing is sent, and each field says so beside it', async () => {
  const { sent } = await show()
  await keep()
  for (const words of ['Who sells it?', 'What is it called?', 'What does it cost?']) {
    expect(screen.getByText(words)).toBeTruthy()
  }
  fill('Supplier', 'O')
  fill('Article', 'A')
  fill('Price, EUR', 'much')
  await keep()
  expect(screen.getByText('This is not a number.')).toBeTruthy()
  expect(sent()).toEqual([])
  fill('Price, EUR', '3')
  await keep()
  expect(sent()).toHaveLength(1)
})

test('what the server refuses is said, and what was typed stays', async () => {
  const { done } = await show(
    problemOf('price-list-wrong', 422, [{ path: 'row 1, valid from', message: 'overlap: 2026-11-24' }]),
  )
  fill('Supplier', 'O')
  fill('Article', 'A')
  fill('Price, EUR', '3')
  await keep()
  expect((await screen.findByRole('alert', {}, { timeout: 4000 })).textContent).toContain(
    'row 1, valid from overlap: 2026-11-24',
  )
  expect((screen.getByLabelText('Article') as HTMLInputElement).value).toBe('A')
  expect(done).toEqual([])
})
