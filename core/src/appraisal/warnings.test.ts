import { sixChickens } from '../../test/documents.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { appraise } from './index.ts'
import type { WarningCode } from './warning-codes.ts'

const warningsOf = (document: FabricationDocument) => appraise(document).warnings
const message = (document: FabricationDocument, code: WarningCode) =>
  warningsOf(document).find((entry) => entry.code === code)?.message

test('a sound record warns of nothing', () => {
  expect(warningsOf(sixChickens())).toEqual([])
})

test('more out than in asks to correct or confirm, and once confirmed says who stands by it', () => {
  const over = sixChickens()
  over.purchase.receivedWeight = 12000
  expect(message(over, 'balance-over')).toMatch(
    /^3\.1\u00a0% more came out than went in\. .* correct it, or confirm it/,
  )
  expect(message({ ...over, confirmed: true }, 'balance-over')).toContain('stands by it')
})

test('the limits are the kitchen’s to set', () => {
  const document = sixChickens()
  document.purchase.receivedWeight = 12300
  const strict = appraise(document, { over: 0, lost: 0.03, short: 0.005, even: 0.02 })
  expect(strict.weights.balance).toBe('over')
  expect(appraise(document, { over: 0.05, lost: 0.03, short: 0.05, even: 0.02 }).warnings).toEqual([])
})

test('a missing pile is asked about, with how much is missing', () => {
  const piles = sixChickens().piles.filter((pile) => pile.name !== 'drumsticks')
  expect(message(sixChickens({ piles }), 'balance-lost')).toMatch(
    /^14\.\d\u00a0% of what was received is not on any pile\./,
  )
})

test('a short delivery is said from half a per cent on', () => {
  const short = (received: number) => {
    const document = sixChickens()
    document.purchase.receivedWeight = received
    return message(document, 'short-delivery')
  }
  expect(short(12540)).toBeUndefined()
  expect(short(12400)).toBe('The delivery was 1.6\u00a0% short of the invoice: claim it.')
})

test('light pieces are counted over all piles in one warning', () => {
  const piles = sixChickens().piles.map((pile) => (pile.pieces ? { ...pile, low: 280 } : pile))
  const document = sixChickens({ piles })
  expect(message(document, 'underweight-pieces')).toBe(
    '4 pieces are too light to serve (supremes), yet still paid for.',
  )
  const one = sixChickens({ piles: sixChickens().piles.map((pile) => (pile.pieces ? { ...pile, low: 271 } : pile)) })
  expect(message(one, 'underweight-pieces')).toMatch(/^1 piece is/)
})

test('a pile weighed together is too light where its mean portion is', () => {
  const together = (weight: number) =>
    sixChickens({
      piles: sixChickens().piles.map((pile) =>
        pile.name === 'supremes' ? { name: pile.name, class: pile.class, low: 270, portions: 6, weight } : pile,
      ),
    })
  expect(message(together(6 * 269.9), 'underweight-pieces')).toBe('The mean portion is too light to serve: supremes.')
  expect(message(together(6 * 270), 'underweight-pieces')).toBeUndefined()
})

test('work that loses money is named under the net policy alone', () => {
  const piles = sixChickens().piles.map((pile) => (pile.name === 'bones' ? { ...pile, processingPerKg: 5 } : pile))
  expect(message(sixChickens({ piles, creditPolicy: 'net' }), 'credit-negative')).toBe(
    'Processing costs more than it brings: bones.',
  )
  expect(message(sixChickens({ piles, creditPolicy: 'used' }), 'credit-negative')).toBeUndefined()
})

test('piles without a portion are named together', () => {
  const piles = sixChickens().piles.map((pile) =>
    pile.class === 'primary' ? { name: pile.name, class: pile.class, weight: 3000, valuePerKg: 1 } : pile,
  )
  expect(message(sixChickens({ piles, offers: [] }), 'no-portions')).toBe(
    'No portion can be counted in supremes, thighs, boneless.',
  )
})

test('of many piles the first are named and the others counted', () => {
  const bare = Array.from({ length: 8 }, (_, index) => ({
    name: `pile ${index}`,
    class: 'primary' as const,
    weight: 1000,
  }))
  expect(message(sixChickens({ piles: bare, offers: [] }), 'no-portions')).toBe(
    'No portion can be counted in pile 0, pile 1, pile 2, pile 3, pile 4 and 3 more.',
  )
})
