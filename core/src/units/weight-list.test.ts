import { parseWeights } from './weight-list.ts'

const grams = (text: string, unit: 'g' | 'lb' = 'g') => {
  const result = parseWeights(text, unit)
  return result.ok ? result.grams.map((weight) => Math.round(weight)) : result.refused
}

for (const [text, expected] of [
  ['', []],
  ['281', [281]],
  ['281 276  290', [281, 276, 290]],
  ['1,2 kg + 840', [1200, 840]],
  ['200; 60', [200, 60]],
  ['281\n276', [281, 276]],
  ['0,494 kg', [494]],
  ['214 heavy', '214 heavy'],
  ['281 0', '0'],
  ['-5', '-5'],
] as const) {
  test(`“${text.replaceAll('\n', '/')}” is ${JSON.stringify(expected)}`, () => expect(grams(text)).toEqual(expected))
}

test('in a kitchen of pounds a pound with its ounces is one weight', () => {
  expect(grams('2 lb 3 oz', 'lb')).toEqual([992])
  expect(grams('1.5 2', 'lb')).toEqual([680, 907])
  expect(grams('10 oz', 'lb')).toEqual([283])
})

test('says what the weights of a box come to', () => {
  expect(parseWeights('1,2 kg + 840', 'g')).toEqual({ ok: true, grams: [1200, 840], total: 2040 })
  expect(parseWeights(' ', 'g')).toEqual({ ok: true, grams: [], total: 0 })
})
