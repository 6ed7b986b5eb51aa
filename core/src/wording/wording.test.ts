import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { leadingComparison } from '../comparison/index.ts'
import { invoicePrice } from '../costing/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { ALLOCATION_WORDS, formatFor, POLICY_WORDS, VERDICT_WORDS, verdictSentence } from './index.ts'

const at = (amount: number, changes: Partial<FabricationDocument> = {}) =>
  sixChickens({ ...changes, purchase: { ...sixChickens().purchase, price: { amount, per: 'kg' } } })
const said = (document: FabricationDocument, whole = 'bird') => {
  const format = formatFor(document.currency, 'metric')
  return verdictSentence(document, appraise(document), whole)
    .map((part) => (part.kind === 'figure' ? format.quantity(part.value ?? Number.NaN, part.quantity) : part.words))
    .join('')
    .replaceAll('\u00a0', ' ')
}

test('the sentence has both amounts, the word, and what turns it', () => {
  expect(said(at(2.5))).toMatch(
    /^Making supremes costs €2\.\d\d a portion, buying them ready €3\.97: make, and you keep €1\.\d\d on each plate\. Flips to buy if the bird costs more than €4\.\d\d a kilo\.$/,
  )
  expect(said(at(6), 'fish')).toMatch(
    /: buy, and you save €\d\.\d\d on each plate\. Flips to make if the fish costs less than €4/,
  )
})

test('near the turning point it says even, with what lies between', () => {
  const turn = appraise(at(3)).comparisons[0]?.breakEven.apPricePerKg as number
  // Charges are in the price that turns it, and not in the price that is asked.
  const extras = ((sixChickens().purchase.extras ?? 0) / 12_600) * 1000
  expect(said(at(turn - extras + 0.01))).toMatch(/: even, with €0\.\d\d between them\. Flips/)
})

test('every figure of it is a figure of the appraisal', () => {
  const document = at(2.5)
  const appraisal = appraise(document)
  const place = leadingComparison(appraisal.piles, appraisal.comparisons) as number
  const comparison = appraisal.comparisons[place]
  const figures = verdictSentence(document, appraisal, 'bird').flatMap((part) =>
    part.kind === 'figure' ? part.value : [],
  )
  expect(figures).toEqual([
    comparison?.costPerPortion,
    comparison?.buyPerPortionSameWeight,
    comparison?.saving,
    invoicePrice(document.purchase, comparison?.breakEven.apPricePerKg ?? null)?.perKg,
  ])
})

test('while the weights cannot be true there is no verdict, and without an offer only a cost', () => {
  const over = at(3)
  over.purchase.receivedWeight = 9000
  expect(said(over)).toMatch(/: no verdict yet\.$/)
  expect(said(at(3, { offers: [] }))).toMatch(/^Making supremes costs €\d\.\d\d a portion\. Add an offer/)
})

test('without a portion pile there is nothing to say', () => {
  const appraisal = appraise(at(3))
  expect(verdictSentence(at(3), { ...appraisal, piles: [], comparisons: [] }, 'bird')).toEqual([])
})

test('where no price of the whole turns it, it says so', () => {
  const appraisal = appraise(at(2.5))
  const [comparison] = appraisal.comparisons
  if (!comparison) throw new Error('There is an offer')
  const never = { ...comparison, breakEven: { ...comparison.breakEven, apPricePerKg: null } }
  const parts = verdictSentence(at(2.5), { ...appraisal, comparisons: [never] }, 'bird')
  expect(parts.at(-1)).toEqual({ kind: 'words', words: 'No price of the bird flips it.' })
})

describe('formats', () => {
  const plain = (text: string) => text.replaceAll('\u00a0', ' ')
  const metric = formatFor('EUR', 'metric')
  const imperial = formatFor('USD', 'imperial')

  test.each([
    [1234, 'weight', '1,234 g'],
    [2.5, 'money', '€2.50'],
    [4.61, 'money-per-kg', '€4.61 a kilo'],
    [21.4, 'money-per-hour', '€21.40 an hour'],
    [0.269, 'share', '26.9 %'],
    [8.25, 'minutes', '8.3 min'],
    [54.4, 'minutes', '54 min'],
    [0.8961, 'factor', '0.896'],
    [12, 'count', '12'],
    [12.25, 'count', '12.3'],
  ] as const)('%d as %s', (value, quantity, words) => {
    expect(plain(metric.quantity(value, quantity))).toBe(words)
  })

  test('in pounds a price and a weight are said per pound', () => {
    expect(plain(imperial.perWeight(10))).toBe('$4.54 a pound')
    expect(imperial.perWeightUnit).toBe('pound')
    expect(plain(imperial.weight(453.59237))).toMatch(/1 lb/)
  })

  test('inside a formula stand grams and kilos, or decimal pounds: what is multiplied', () => {
    expect(plain(metric.formula(280, 'weight'))).toBe('280 g')
    expect(plain(metric.formula(4.5, 'money-per-kg'))).toBe('€4.50/kg')
    expect(plain(imperial.formula(280, 'weight'))).toBe('0.617 lb')
    expect(plain(imperial.formula(4.5, 'money-per-kg'))).toBe('$2.04/lb')
  })
})

test('every policy, allocation and verdict has words', () => {
  for (const words of Object.values(POLICY_WORDS)) expect(words.name && words.means).toBeTruthy()
  expect(Object.values(ALLOCATION_WORDS).every(Boolean)).toBe(true)
  expect(Object.keys(VERDICT_WORDS)).toEqual(['make', 'buy', 'even', 'none'])
})
