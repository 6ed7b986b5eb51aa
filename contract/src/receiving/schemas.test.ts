import { lotEditOf } from './edit.ts'
import { type Lot, lotEdit, lotPhoto } from './schemas.ts'

const LOT: Lot = {
  id: '019b76da-a8f2-7000-8003-000000000001',
  version: 1,
  itemId: '019b76da-a8f2-7000-8003-00000000000a',
  item: 'Chicken, eviscerated',
  supplierId: '019b76da-a8f2-7000-8003-00000000000b',
  supplier: 'Ostravale Poultry Yard',
  code: 'L-1',
  gtin: '09012345000127',
  price: { amount: 4, per: 'kg' },
  extras: null,
  pieces: null,
  receivedOn: '2026-11-24',
  productionDate: null,
  useBy: '2026-12-01',
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
    { id: '019b76da-a8f2-7000-8003-000000000002', label: null, serial: '7', invoiceWeight: 5000, weighed: 4900 },
    { id: '019b76da-a8f2-7000-8003-000000000003', label: null, serial: null, invoiceWeight: 5000, weighed: null },
  ],
  checks: [{ checkId: 'skin', isFault: true, value: null, note: 'torn', worth: null }],
}
const [first, second] = LOT.cases as [Lot['cases'][number], Lot['cases'][number]]
const paths = (changes: object) =>
  lotEdit.safeParse({ ...lotEditOf(LOT), ...changes }).error?.issues.map((issue) => issue.path.join('.'))

describe('a lot', () => {
  test('that is whole is taken as it is', () => {
    expect(lotEdit.parse(lotEditOf(LOT))).toEqual(lotEditOf(LOT))
  })

  test.each([
    ['an article number with a wrong check digit', { gtin: '09012345000128' }, ['gtin']],
    ['made after it came', { productionDate: '2026-11-25' }, ['productionDate']],
    ['a last day before it was made', { productionDate: '2026-11-20', useBy: '2026-11-19' }, ['useBy']],
    ['a case that stands twice', { cases: [first, { ...second, id: first.id }] }, ['cases.1.id']],
    ['a check that is answered twice', { checks: [LOT.checks[0], LOT.checks[0]] }, ['checks.1.checkId']],
    ['no case', { cases: [] }, ['cases']],
    ['a case of no weight', { cases: [{ ...first, invoiceWeight: 0 }] }, ['cases.0.invoiceWeight']],
    ['a negative weighing', { cases: [{ ...first, weighed: -1 }] }, ['cases.0.weighed']],
    ['a price a piece without pieces', { price: { amount: 3, per: 'piece' } }, ['pieces']],
    ['a day that is none', { useBy: '2026-02-30' }, ['useBy']],
    ['a field that is not known', { colour: 'red' }, ['']],
    ['an article number of another length', { gtin: '123' }, ['gtin']],
  ])('is refused with %s', (_what, changes, expected) => {
    expect(paths(changes)).toEqual(expected)
  })
})

describe('a picture', () => {
  const photo = { id: LOT.id, takenAt: '2026-11-24T09:00:00.000Z', picture: '/9j/4AAQSkZJRg==' }

  test('is a JPEG in base64', () => {
    expect(lotPhoto.safeParse(photo).success).toBe(true)
  })

  test.each([
    ['another kind of file', 'iVBORw0KGgo='],
    ['words', '/9j/ and more words'],
    ['too large', `/9j/${'A'.repeat(1_000_000)}`],
  ])('is refused where it is %s', (_what, picture) => {
    expect(lotPhoto.safeParse({ ...photo, picture }).success).toBe(false)
  })
})
