import { fabricationEdit, issuesOf, kitchenOffer, kitchenSetUp, pathText, readingsSent } from './index.ts'

const paths = (schema: { safeParse: (input: unknown) => { success: boolean; error?: unknown } }, input: unknown) => {
  const result = schema.safeParse(input)
  return result.success ? [] : issuesOf(result.error as Parameters<typeof issuesOf>[0]).map((issue) => issue.path)
}
const id = '019b76da-a8f2-7000-8003-cbb2874dc7a1'

test('a path reads as one would point at it', () => {
  expect(pathText(['piles', 2, 'weight'])).toBe('piles[2].weight')
  expect(pathText([])).toBe('')
  expect(pathText([0, 'id'])).toBe('[0].id')
})

describe('a kitchen', () => {
  const kitchen = {
    id,
    name: 'Larch Halt',
    currency: 'EUR',
    units: 'metric',
    timeZone: 'Europe/Vienna',
    wagePerHour: 21.4,
  }

  test('is whole with its six answers', () => expect(paths(kitchenSetUp, kitchen)).toEqual([]))

  for (const [field, value] of [
    ['id', '12'],
    ['name', '   '],
    ['name', 'x'.repeat(200)],
    ['currency', 'EURO'],
    ['units', 'stone'],
    ['timeZone', 'Europe/Nowhere'],
    ['wagePerHour', Number.NaN],
    ['wagePerHour', '21'],
  ] as const) {
    test(`refuses ${field}: ${String(value).slice(0, 20)}`, () =>
      expect(paths(kitchenSetUp, { ...kitchen, [field]: value })).toEqual([field]))
  }
})

test('an offer for a kitchen follows the rules of an offer in a document', () => {
  const offer = { name: 'Ready', pile: 'supremes', price: { amount: 76, per: 'case' }, pieceWeight: 280 }
  expect(paths(kitchenOffer, { id, styleId: id, supplier: 'Plattenkar Provisions', offer })).toEqual(['offer.pieces'])
  expect(
    paths(kitchenOffer, { id, styleId: id, supplier: 'Plattenkar Provisions', offer: { ...offer, pieces: 20 } }),
  ).toEqual([])
})

describe('what a device sends', () => {
  const reading = { id, pileId: id, grams: 281, takenAt: '2026-11-24T08:00:00.000Z', source: 'scale' }

  test('may be readings, withdrawals, both or nothing', () => {
    expect(paths(readingsSent, {})).toEqual([])
    expect(
      paths(readingsSent, { readings: [reading], voids: [{ id, readingId: id, takenAt: reading.takenAt }] }),
    ).toEqual([])
  })

  test('is refused at the reading that is wrong', () => {
    expect(paths(readingsSent, { readings: [reading, { ...reading, grams: -1 }] })).toEqual(['readings[1].grams'])
    expect(paths(readingsSent, { readings: [{ ...reading, source: 'guess' }] })).toEqual(['readings[0].source'])
    expect(paths(readingsSent, { readings: [{ ...reading, takenAt: '2026-11-24' }] })).toEqual(['readings[0].takenAt'])
    expect(paths(readingsSent, { readings: Array.from({ length: 501 }, () => reading) })).toEqual(['readings'])
  })
})

test('an edit must be whole', () => {
  expect(paths(fabricationEdit, { version: 1 })).toEqual(
    expect.arrayContaining(['purchase', 'piles', 'offers', 'creditPolicy', 'status', 'date']),
  )
})
