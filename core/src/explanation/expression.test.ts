import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { constant, minus, over, plus, times, value } from './expression.ts'
import { evaluate, explain, word } from './index.ts'

const a = value('a', 6, 'count')
const b = value('b', 2, 'count')

test('brackets stand where the order of working needs them', () => {
  const names = (entry: { name: string }) => entry.name
  expect(word(times(plus(a, b), a), names)).toBe('(a + b) \u00d7 a')
  expect(word(over(a, times(a, b)), names)).toBe('a \u00f7 (a \u00d7 b)')
  expect(word(minus(a, minus(a, b)), names)).toBe('a \u2212 (a \u2212 b)')
  expect(word(over(over(a, b), constant(1000)), names)).toBe('a \u00f7 b \u00f7 1000')
  expect(word(plus(), names)).toBe('0')
})

test('what is worded is what is worked out', () => {
  const expression = minus(times(plus(a, b), a), over(a, plus(a, b)), constant(1))
  const text = word(expression, (leaf) => String(leaf.value)).replace(
    /[\u2212\u00d7\u00f7]/g,
    (sign) => ({ '\u2212': '-', '\u00d7': '*', '\u00f7': '/' })[sign] as string,
  )
  expect(text).toBe('(6 + 2) * 6 - 6 / (6 + 2) - 1')
  expect(evaluate(expression)).toBe(8 * 6 - 6 / 8 - 1)
})

test('a figure that does not apply has no formula', () => {
  const document = sixChickens()
  const appraisal = appraise(document)
  expect(explain(document, appraisal, { group: 'pile', pile: 'bin', figure: 'portions' })).toBeNull()
  expect(explain(document, appraisal, { group: 'pile', pile: 'no such pile', figure: 'share' })).toBeNull()
  expect(explain(document, appraisal, { group: 'comparison', at: 9, figure: 'saving' })).toBeNull()
})

test('the credit of a pile shows the policy it was worked out by', () => {
  const words = (['none', 'book', 'used', 'net'] as const).map((creditPolicy) => {
    const document = sixChickens({ creditPolicy })
    const explanation = explain(document, appraise(document), { group: 'pile', pile: 'bones', figure: 'credit' })
    return explanation && word(explanation.expression, (entry) => entry.name)
  })
  expect(words).toEqual([
    '0',
    'bones \u00f7 1000 \u00d7 value per kilo',
    'bones \u00f7 1000 \u00d7 used share \u00d7 value per kilo',
    'bones \u00f7 1000 \u00d7 used share \u00d7 (value per kilo \u2212 processing per kilo)',
  ])
})
