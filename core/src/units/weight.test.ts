import fc from 'fast-check'
import {
  formatPoundsOunces,
  formatWeight,
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  parseNumber,
  parseWeight,
  wholeMilligrams,
} from './weight.ts'

describe('parseWeight', () => {
  for (const [text, code] of [
    ['', 'empty'],
    ['   ', 'empty'],
    ['-5', 'negative'],
    ['\u22125 g', 'negative'],
    ['abc', 'not-a-weight'],
    ['12 stone', 'not-a-weight'],
    ['1.2.3', 'not-a-weight'],
    ['NaN', 'not-a-weight'],
    ['Infinity', 'not-a-weight'],
    ['1e5', 'not-a-weight'],
    ['2 lb 3 g', 'not-a-weight'],
    ['999999999', 'too-heavy'],
  ] as const) {
    test(`refuses '${text}' as ${code}`, () => expect(parseWeight(text)).toEqual({ ok: false, code }))
  }

  for (const [text, grams] of [
    ['840', 840],
    ['840 g', 840],
    ['1,2 kg', 1200],
    ['1.250 kg', 1250],
    ['1,250', 1250],
    ['1.250,5 g', 1250.5],
    ['12 600 g', 12600],
    ['.5kg', 500],
    ['2 lb 3 oz', 2 * GRAMS_PER_POUND + 3 * GRAMS_PER_OUNCE],
    ['2lb3.5oz', 2 * GRAMS_PER_POUND + 3.5 * GRAMS_PER_OUNCE],
    ['14 oz', 14 * GRAMS_PER_OUNCE],
    ['0', 0],
  ] as const) {
    test(`reads '${text}'`, () => {
      const result = parseWeight(text)
      expect(result.ok && result.grams).toBeCloseTo(grams, 9)
    })
  }

  test('takes a bare number in the unit of the kitchen', () => {
    expect(parseWeight('2', 'lb')).toEqual({ ok: true, grams: 2 * GRAMS_PER_POUND })
  })
})

test('a number may have either decimal mark, and the other for thousands', () => {
  expect(['1,250.5', '1.250,5', '1,250,000', '12,5', 'x', '1,25,0.5'].map(parseNumber)).toEqual([
    1250.5,
    1250.5,
    1250000,
    12.5,
    null,
    null,
  ])
})

describe('formatWeight', () => {
  test('shows grams to the step of the scale, kilos from ten up', () => {
    expect(formatWeight(281.4, 'metric')).toBe('281\u00a0g')
    expect(formatWeight(281.4, 'metric', 5)).toBe('280\u00a0g')
    expect(formatWeight(12540, 'metric')).toBe('12.54\u00a0kg')
    expect(formatWeight(-0.2, 'metric')).toBe('0\u00a0g')
  })

  test('carries ounces into pounds, as cooks say it', () => {
    expect(formatPoundsOunces(2 * GRAMS_PER_POUND - 0.01)).toBe('2\u00a0lb')
    expect(formatPoundsOunces(2 * GRAMS_PER_POUND + 3.5 * GRAMS_PER_OUNCE)).toBe('2\u00a0lb 3.5\u00a0oz')
    expect(formatPoundsOunces(-GRAMS_PER_OUNCE)).toBe('\u22121\u00a0oz')
  })

  test('what is shown in grams is read back as the same weight', () => {
    for (const grams of [1, 999, 1250, 9999, 12540]) {
      expect(parseWeight(formatWeight(grams, 'metric'))).toEqual({ ok: true, grams })
    }
  })
})

test('whole milligrams are the same number however a net weight came about', () => {
  expect(1000.7 - 640.3).not.toBe(360.4)
  expect(wholeMilligrams(1000.7 - 640.3)).toBe(360.4)
  const step = fc.constantFrom(0.1, 0.005 * GRAMS_PER_POUND, 0.05 * GRAMS_PER_OUNCE)
  fc.assert(
    fc.property(step, fc.integer({ min: 0, max: 300_000 }), fc.integer({ min: 0, max: 20_000 }), (by, gross, tare) => {
      const net = wholeMilligrams(gross * by - tare * by)
      expect(wholeMilligrams(net)).toBe(net)
      // What a DECIMAL column with three places gives back is the number that was sent.
      expect(Number(net.toFixed(3))).toBe(net)
      expect(JSON.parse(JSON.stringify(net))).toBe(net)
    }),
    { seed: 3, numRuns: 500 },
  )
})

test('blanks and apostrophes stand between thousands, or it is no number', () => {
  expect(['1 250', "1'250.5", '12 345 678', '- 5'].map(parseNumber)).toEqual([1250, 1250.5, 12_345_678, -5])
  expect(['4 35', '1 25', '4,3 5', '1 2345', "'5", '12 34 567'].map(parseNumber)).toEqual(Array(6).fill(null))
  expect(parseWeight('5 constructor')).toEqual({ ok: false, code: 'not-a-weight' })
})
