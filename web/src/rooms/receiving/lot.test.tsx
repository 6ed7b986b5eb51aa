import type { Lot, LotTrace } from '@fleam/contract/receiving/schemas'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith, problemOf } from '../../../test/server.ts'
import { Component as Claim } from './claim.tsx'
import { Component as LotPage } from './lot.tsx'

// The scale has its own tests.
jest.mock('../../data/scale.ts', () => ({ useScale: () => ({ reading: null, connected: false }) }))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const LOT: Lot = {
  id: 'l',
  version: 3,
  itemId: 'd',
  item: 'Duck',
  supplierId: 's',
  supplier: 'Ostravale Poultry Yard',
  code: 'L-7',
  gtin: '09012345000127',
  price: { amount: 6.9, per: 'kg' },
  extras: 3,
  pieces: 8,
  receivedOn: '2026-11-22',
  productionDate: null,
  useBy: '2026-11-28',
  openedOn: null,
  isFinished: false,
  standing: 'accepted',
  standingReason: null,
  standingById: null,
  standingBy: null,
  invoiceNumber: null,
  orderNumber: null,
  articleNumber: null,
  expectedLineId: null,
  notes: null,
  cases: [
    { id: 'a', label: null, serial: '1', invoiceWeight: 9_600, weighed: 9_220 },
    { id: 'b', label: null, serial: null, invoiceWeight: 9_600, weighed: null },
  ],
  checks: [{ checkId: 'skin', isFault: true, value: null, note: 'two of eight', worth: null }],
}
const trace = (changes: Partial<LotTrace> = {}, lot: Partial<Lot> = {}): LotTrace => ({
  lot: { ...LOT, ...lot },
  usedWeight: 4_800,
  photos: [],
  fabrications: [],
  ...changes,
})

async function show(page: React.ReactElement, answer: LotTrace, put: unknown = { body: LOT }) {
  const asked = answerWith({
    [`GET ${BASE}/lots/`]: { body: answer },
    [`GET ${BASE}/items`]: { body: [] },
    [`GET ${BASE}/suppliers`]: { body: [] },
    [`GET ${BASE}/cautions`]: { body: [] },
    [`PUT ${BASE}/suppliers`]: { body: [{ id: 's', name: LOT.supplier }] },
    [`PUT ${BASE}/lots/l`]: put,
  } as never)
  await act(async () => {
    renderPart(page)
  })
  await answered()
  return () =>
    asked
      .filter((request) => request.method === 'PUT' && request.path.includes('/lots/'))
      .map((request) => request.body as Lot)
}

describe('a lot', () => {
  test('says what came, what is left, and what was found', async () => {
    await show(<LotPage />, trace())
    const came = screen.getByRole('region', { name: 'What came' }).textContent
    for (const words of [
      'Ostravale Poultry Yard',
      '€6.90 a kilo',
      '19.20\u00a0kg',
      '18.82\u00a0kg',
      '14.1',
      'Sat 28 Nov',
      'not yet',
    ]) {
      expect(came).toContain(words)
    }
    const found = screen.getByRole('region', { name: 'What was found' }).textContent
    expect(found).toContain('380\u00a0g short')
    expect(found).toContain('To claim: €2.62')
    expect(found).toContain('skin torn: two of eight')
  })

  test('that was right says so, and offers no claim', async () => {
    const cases = [{ id: 'a', label: null, serial: null, invoiceWeight: 9_600, weighed: 9_600 }]
    await show(
      <LotPage />,
      trace({}, { cases, checks: [{ checkId: 'seal', isFault: false, value: null, note: null, worth: null }] }),
    )
    expect(screen.getByText(/Everything was right: 1 thing was looked at/)).toBeTruthy()
    expect(screen.queryByRole('link', { name: 'Claim sheet' })).toBeNull()
  })

  test('is quarantined and released with a reason, and never without one', async () => {
    const put = await show(<LotPage />, trace())
    await touch(screen.getByRole('button', { name: 'Quarantine it' }))
    const go = screen.getByRole('button', { name: 'Quarantine it' }) as HTMLButtonElement
    expect(go.disabled).toBe(true)
    fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'smells at 6 degrees' } })
    await touch(go)
    expect(put()[0]).toMatchObject({ standing: 'quarantined', standingReason: 'smells at 6 degrees' })
  })

  test('that went back is not cut from, and its whole invoice is claimed', async () => {
    await show(<LotPage />, trace({ usedWeight: 0 }, { standing: 'returned', standingReason: 'too warm' }))
    expect(screen.queryByRole('link', { name: 'Cut from it' })).toBeNull()
    expect(screen.getByRole('region', { name: 'What came' }).textContent).toContain('returned: too warm')
    expect(screen.getByRole('region', { name: 'What was found' }).textContent).toContain('To claim: €135.48')
  })

  test('is opened and finished with one touch each, at its version', async () => {
    const put = await show(<LotPage />, trace())
    await touch(screen.getByRole('button', { name: 'It is opened' }))
    await touch(screen.getByRole('button', { name: 'It is finished' }))
    expect(put()[0]).toMatchObject({
      version: 3,
      openedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
      isFinished: false,
    })
    expect(put()[1]).toMatchObject({ version: 3, isFinished: true })
  })

  test('that somebody else changed meanwhile says so', async () => {
    await show(<LotPage />, trace(), problemOf('stale-version', 409))
    await touch(screen.getByRole('button', { name: 'It is finished' }))
    expect((await screen.findByRole('alert', {}, { timeout: 4000 })).textContent).toContain('because')
  })

  test('leads forward to what was made of it, and to its pictures', async () => {
    const document = sixChickens({ meta: { date: '2026-11-24', cook: 'Ondine' } })
    await show(
      <LotPage />,
      trace({
        fabrications: [
          { id: 'open', status: 'open', document },
          { id: 'closed', status: 'closed', document },
        ],
        photos: [{ id: 'p', takenAt: '2026-11-22T09:00:00.000Z' }],
      }),
    )
    const made = screen.getByRole('region', { name: 'What was made of it' })
    expect(
      within(made)
        .getAllByRole('link')
        .map((link) => link.getAttribute('href')),
    ).toEqual(['/bench/open', '/verdict/closed', `${BASE}/fabrications/closed/sheet.pdf`])
    expect(made.textContent).toContain('Ondine: supremes 12 pieces, 3,407\u00a0g')
    expect(made.textContent).not.toContain('bin')
    expect(screen.getByRole('img').getAttribute('src')).toBe(`${BASE}/lots/l/photos/p`)
  })

  test('is changed in the form that took it in', async () => {
    const put = await show(<LotPage />, trace())
    await touch(screen.getByRole('button', { name: 'Change' }))
    await touch(screen.getByRole('button', { name: 'Remove case 2' }))
    await touch(screen.getByRole('button', { name: 'Save the changes' }))
    expect(put()[0]).toMatchObject({ supplierId: 's', cases: [{ id: 'a' }] })
    expect(put()[0]).not.toHaveProperty('item')
  })
})

test('the claim sheet sums what is missing case by case, and names the faults', async () => {
  await show(<Claim />, trace())
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Claim to Ostravale Poultry Yard')
  const rows = screen.getAllByRole('row').map((row) => row.textContent)
  expect(rows[1]).toBe('1€6.90 a kilo9,600\u00a0g9,220\u00a0g380\u00a0g€2.62')
  expect(rows[2]).toContain('not weighed')
  expect(rows[3]).toContain('€2.62')
  expect(screen.getByText('skin torn: two of eight')).toBeTruthy()
  expect(screen.getByRole('link', { name: 'As CSV' }).getAttribute('href')).toBe(`${BASE}/lots/l/claim.csv`)
})
