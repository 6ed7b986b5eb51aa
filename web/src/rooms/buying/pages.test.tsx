import type { Item } from '@fleam/core/style'
import { act, fireEvent, screen } from '@testing-library/react'
import { formPile, quote, wholeForm } from '../../../../core/test/forms.ts'
import { answered, choose, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Compare } from './compare.tsx'
import { Component as Meals } from './meals.tsx'
import { Component as Parted } from './parted.tsx'
import { Component as Prices } from './prices.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const ITEMS = [
  {
    id: 'i',
    name: 'Chicken, eviscerated',
    species: 'poultry',
    unitName: { one: 'bird', many: 'birds' },
    isArchived: false,
    styles: [],
  },
] as unknown as Item[]
const article = (name: string) => ({
  id: name,
  supplier: 'Ostravale Poultry Yard',
  code: name,
  name,
  kind: 'whole',
  item: 'Duck',
  product: null,
  usableShare: null,
  handlingMinutesPerPiece: null,
})

async function show(page: React.ReactElement, answers: Record<string, unknown>) {
  const asked = answerWith(
    Object.fromEntries(Object.entries(answers).map(([path, body]) => [`GET ${BASE}${path}`, { body }])) as never,
  )
  await act(async () => {
    renderPart(page)
  })
  await answered()
  return asked
}
const rows = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.textContent)

describe('comparing', () => {
  const products = [
    { id: 'c', name: 'Chicken: supremes', pile: 'supremes', plateWeight: 250, forms: 1 },
    { id: 'd', name: 'Duck: breasts', pile: 'breasts', plateWeight: 276, forms: 0 },
  ]
  const answers = {
    '/products': products,
    '/forms?product=c': [wholeForm()],
    '/forms?product=d': [],
  }

  test('opens with the product that can be compared, and follows another plate weight at once', async () => {
    await show(<Compare />, answers)
    expect(screen.getByText(/is cheapest/).textContent).toContain('a plate')
    const before = screen.getByText(/is cheapest/).textContent
    fireEvent.change(screen.getByLabelText('On one plate'), { target: { value: '300' } })
    expect(screen.getByText(/is cheapest/).textContent).not.toBe(before)
  })

  test('of what nobody sells says what to do', async () => {
    await show(<Compare />, answers)
    await choose('Product', products[1]?.name as string)
    await answered()
    expect(screen.getByText('No supplier has a price for it yet')).toBeTruthy()
  })
})

describe('the price book', () => {
  const page = (total: number, names: string[]) => ({
    total,
    rows: names.map((name) => ({
      article: article(name),
      current: { id: 'p', price: { amount: 6.9, per: 'kg' }, from: '2026-11-01' },
      prices: 3,
    })),
  })
  const query = (words: string, offset: number) =>
    `/articles?${words && `words=${words}&`}tied=true&limit=50&offset=${offset}`

  test('says what each article costs today and how many prices it has had, page by page', async () => {
    await show(<Prices />, {
      '/suppliers': [],
      [query('', 0)]: page(51, ['Duck 2.4 kg']),
      [query('', 50)]: page(51, ['Goose']),
    })
    expect(rows()[0]).toContain('€6.90 a kilo')
    expect(screen.getByText('1 to 50 of 51')).toBeTruthy()
    await touch(screen.getByRole('button', { name: 'After' }))
    expect(await screen.findByText('51 to 51 of 51')).toBeTruthy()
    expect((screen.getByRole('button', { name: 'After' }) as HTMLButtonElement).disabled).toBe(true)
  })

  test('finds nothing honestly', async () => {
    await show(<Prices />, { '/suppliers': [], [query('', 0)]: page(0, []) })
    expect(screen.getByText('Nothing like it is in the price book')).toBeTruthy()
  })
})

describe('something whole', () => {
  const forms = [
    wholeForm({ id: 'a s', style: 'Supremes', quote: quote(2) }),
    wholeForm({ id: 'a h', style: 'Halves', piles: [formPile('halves', 0.9)] }),
  ]

  test('parted ranks what is valued, names what is not, and prices its parts for a margin', async () => {
    await show(<Parted />, { '/items': ITEMS, '/forms?item=i': forms })
    expect(screen.getByText(/Nothing tells what its parts are worth, so not ranked: Halves/)).toBeTruthy()
    expect(rows()[0]).toContain('Supremes')
    const price = () =>
      screen.getByRole('region', { name: /a price for each part/ }).querySelectorAll('tbody tr')[0]?.textContent
    const before = price()
    fireEvent.change(screen.getByLabelText('Target margin, %'), { target: { value: '60' } })
    expect(price()).not.toBe(before)
  })

  test('as meals says what leaves the till, how many servings, and until when', async () => {
    await show(<Meals />, { '/items': ITEMS, '/forms?item=i': forms })
    fireEvent.change(screen.getByLabelText('Cut on'), { target: { value: '2026-11-24' } })
    expect(screen.getByText(/leaves the till today/).textContent).toContain('12 servings')
    expect(rows()[0]).toContain('25 Nov 2026')
    expect(rows()[0]).toContain('24 Aug 2027')
    fireEvent.change(screen.getByLabelText('Grams of drumsticks a serving'), { target: { value: '300' } })
    expect(screen.getByText(/leaves the till today/).textContent).toContain('17 servings')
  })
})
