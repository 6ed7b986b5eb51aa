import { act, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as ArticlePage } from './article.tsx'

// The drawing of a chart needs a laid-out page; what it is told is tested here.
jest.mock('../../parts/price-chart.tsx', () => ({
  __esModule: true,
  default: ({
    line,
    breakEvens,
  }: {
    line: { day: string; amount: number }[]
    breakEvens: { name: string; amount: number }[]
  }) => (
    <p>
      {line.map((point) => `${point.day} ${point.amount}`).join(', ')};{' '}
      {breakEvens.map((breakEven) => `${breakEven.name} ${breakEven.amount.toFixed(2)}`).join()}
    </p>
  ),
}))

const PATH = `GET /api/kitchens/${LARCH_HALT.id}/articles/`
const price = (amount: number, from: string, per = 'kg') => ({
  id: `${from} ${amount}`,
  price: { amount, per },
  pieceWeight: null,
  packPieces: null,
  packWeight: null,
  delivery: null,
  minimumOrder: null,
  from,
  until: null,
  source: 'list',
  recordedAt: '2026-11-01T08:00:00.000Z',
})
const whole = {
  id: 'a',
  supplier: 'Ostravale Poultry Yard',
  code: 'OY',
  name: 'Chicken',
  kind: 'whole',
  item: 'Chicken, eviscerated',
  product: null,
  usableShare: null,
  handlingMinutesPerPiece: null,
}
const cheap = sixChickens({
  purchase: { ...sixChickens().purchase, price: { amount: 3.1, per: 'kg' } },
  meta: { date: '2026-11-20' },
})

async function show(history: object) {
  answerWith({ [PATH]: { body: { struck: [], ...history } } } as never)
  await act(async () => {
    renderPart(<ArticlePage />)
  })
  await answered()
}

test('the history is drawn with the price at which the verdict turns, and every price is listed newest first', async () => {
  await show({
    article: whole,
    prices: [price(2.8, '2026-01-01'), price(6, '2026-06-01')],
    records: [{ id: 'r', document: cheap }],
  })
  expect(screen.getByText(/2026-01-01 2\.8, 2026-06-01 6, .* 6; supremes \d/)).toBeTruthy()
  const listed = within(screen.getByRole('region', { name: 'Every price' })).getAllByRole('row')
  expect(listed.map((row) => row.textContent).slice(1)).toEqual([
    expect.stringContaining('€6.00 a kilo'),
    expect.stringContaining('€2.80 a kilo'),
  ])
})

describe('what rests on it', () => {
  const region = () => screen.getByRole('region', { name: /What rests on it/ })

  test('is costed anew by factor and in full, and a verdict that turns is shown turning', async () => {
    await show({ article: whole, prices: [price(6, '2026-06-01')], records: [{ id: 'r', document: cheap }] })
    const [, supremes, thighs] = within(region()).getAllByRole('row')
    expect(supremes?.textContent).toContain('make → buy')
    expect(thighs?.textContent).toContain('thighs, boneless')
    const [was, factored, inFull] = [...(supremes?.textContent?.matchAll(/€(\d+\.\d\d)/g) ?? [])].map(([, amount]) =>
      Number(amount),
    )
    expect(factored).toBeGreaterThan(was as number)
    expect(inFull).not.toBe(factored)
    await touch(within(supremes as HTMLElement).getAllByRole('button')[1] as HTMLElement)
    expect(document.querySelector('.formula')?.textContent).toContain('factor × new price per kilo')
  })

  test('at the price it was made with stands as it was', async () => {
    await show({ article: whole, prices: [price(3.1, '2026-06-01')], records: [{ id: 'r', document: cheap }] })
    expect(region().textContent).toContain('at this price already')
    expect(region().textContent).not.toContain('→')
  })

  test('and was bought by the piece is not costed at a price a kilo', async () => {
    const byPiece = { ...cheap, purchase: { ...cheap.purchase, price: { amount: 7, per: 'piece' as const } } }
    await show({ article: whole, prices: [price(60, '2026-06-01')], records: [{ id: 'r', document: byPiece }] })
    expect(region().textContent).not.toContain('→')
  })

  test('of an offer is costed at its price', async () => {
    const ready = { ...whole, kind: 'ready', name: 'Supremes, 20 x 280 g', item: null, product: 'Chicken: supremes' }
    await show({ article: ready, prices: [price(40, '2026-06-01', 'case')], records: [{ id: 'r', document: cheap }] })
    expect(region().textContent).toContain('make → buy')
  })

  test('may be nothing yet', async () => {
    await show({ article: whole, prices: [price(3, '2026-06-01')], records: [] })
    expect(screen.getByText(/Nothing that was cut or compared here rests on it yet/)).toBeTruthy()
  })
})
