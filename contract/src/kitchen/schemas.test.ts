import { fabricationEdit } from '../fabrication/schemas.ts'
import { fact, factsSent } from '../facts/schemas.ts'
import { issuesOf, pathText } from '../problem.ts'
import { kitchenOffer, kitchenSetUp } from './schemas.ts'

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
  const offer = { name: 'Ready', pileId: id, price: { amount: 76, per: 'case' }, pieceWeight: 280 }
  expect(paths(kitchenOffer, { id, styleId: id, supplierId: id, offer })).toEqual(['offer.pieces'])
  expect(paths(kitchenOffer, { id, styleId: id, supplierId: id, offer: { ...offer, pieces: 20 } })).toEqual([])
  // What is not kept of it is not taken.
  const tied = { ...offer, pieces: 20, articleId: id }
  expect(paths(kitchenOffer, { id, styleId: id, supplierId: id, offer: tied })).toEqual(['offer.articleId'])
})

describe('what a device sends', () => {
  const made = { id, order: 1, takenAt: '2026-11-24T08:00:00.000Z', fabricationId: id }
  const reading = { kind: 'reading', ...made, pileId: id, grams: 281, source: 'scale' }

  test('may be any facts, in their order', () => {
    const sent = [reading, { kind: 'void', ...made, factId: id }, { kind: 'mark', ...made, mark: 'cold-in' }]
    expect(paths(factsSent, { facts: sent })).toEqual([])
    expect(paths(factsSent, { facts: [] })).toEqual(['facts'])
  })

  test('has weights of whole milligrams, whatever the scale took off', () => {
    const grams = (value: number) => factsSent.parse({ facts: [{ ...reading, grams: value }] }).facts[0]
    expect(grams(1000.7 - 640.3)).toMatchObject({ grams: 360.4 })
    expect(paths(fact, { ...reading, grams: 0.0004 })).toEqual(['grams'])
  })

  test('is refused at the field that is wrong', () => {
    expect(paths(fact, { ...reading, source: 'guess' })).toEqual(['source'])
    expect(paths(fact, { ...reading, takenAt: '2026-11-24' })).toEqual(['takenAt'])
    expect(paths(fact, { ...reading, order: 0 })).toEqual(['order'])
    expect(paths(fact, { ...reading, kind: 'dance' })).toEqual(['kind'])
  })

  test('may be no fact in one place, and the others are read', () => {
    const wrong = { ...reading, grams: -1 }
    const { facts } = factsSent.parse({ facts: [reading, wrong, 'a weighing', { kind: 'not-a-fact', sent: reading }] })
    expect(facts.map((fact) => fact.kind)).toEqual(['reading', 'not-a-fact', 'not-a-fact', 'not-a-fact'])
    expect(facts[1]).toEqual({ kind: 'not-a-fact', sent: wrong })
    expect(paths(factsSent, { facts: Array.from({ length: 501 }, () => reading) })).toEqual(['facts'])
  })
})

test('an edit must be whole', () => {
  expect(paths(fabricationEdit, { version: 1 })).toEqual(
    expect.arrayContaining(['purchase', 'piles', 'offers', 'creditPolicy', 'status', 'date']),
  )
})
