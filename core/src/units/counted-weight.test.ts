import { parseCountedWeight } from './index.ts'

describe('a weight with the number of its pieces', () => {
  test.each([
    ['1.6 kg, 12 pieces', 1600, 12],
    ['1,6 kg 12 pcs', 1600, 12],
    ['12 pieces 1600', 1600, 12],
    ['12 pieces, 1.6 kg', 1600, 12],
    ['1600 x 12 pieces', 1600, 12],
    ['1.6 kg, 6 p', 1600, 6],
    ['281', 281, null],
    ['281 g, 1 piece', 281, 1],
  ])('%s', (text, grams, pieces) => {
    expect(parseCountedWeight(text, 'g')).toEqual({ ok: true, grams, pieces })
  })

  test('in pounds and ounces too', () => {
    const read = parseCountedWeight('3 lb 8 oz, 12 pieces', 'lb')
    expect(read).toMatchObject({ ok: true, pieces: 12 })
    expect(read.ok && read.grams).toBeCloseTo(1587.573295, 9)
  })

  test.each(['1.6 kg, 0 pieces', '12 pieces', 'many, 12 pieces', ''])('%s is none', (text) => {
    expect(parseCountedWeight(text, 'g').ok).toBe(false)
  })
})
