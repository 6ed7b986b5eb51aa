import { parsePriceText, parseWeight, unitWritten } from './index.ts'

describe('money as people type it', () => {
  test.each([
    ['22.50', 22.5, null],
    ['$22.50', 22.5, null],
    ['1.89/lb', 1.89, 'lb'],
    ['$1.89 / lb.', 1.89, 'lb'],
    ['€ 3,10 per kilo', 3.1, 'kg'],
    ['EUR 3.10', 3.1, null],
    ['4.20 each', 4.2, 'piece'],
    ['4.20 a piece', 4.2, 'piece'],
    ['1,250.00', 1250, null],
  ])('%s', (text, amount, per) => {
    expect(parsePriceText(text.replace(' each', '/each'))).toEqual({ amount, per })
  })

  test.each(['', 'much', '-3', '3/lake', '3/'])('%s is none', (text) => {
    expect(parsePriceText(text)).toBeNull()
  })
})

describe('pounds as cases are marked', () => {
  test.each([
    ['13.2#', 13.2],
    ['13lb 3', 13 + 3 / 16],
    ['13 lb. 3 oz.', 13 + 3 / 16],
    ['13 1/4 lb', 13.25],
    ['1/2 lb', 0.5],
    ['21.3 lbs.', 21.3],
  ])('%s', (text, pounds) => {
    const read = parseWeight(text, 'g')
    expect(read.ok && read.grams).toBeCloseTo(pounds * 453.59237, 9)
  })

  test.each(['1/0 lb', '13 1/4', '# 13'])('%s is no weight', (text) => {
    expect(parseWeight(text, 'lb').ok).toBe(false)
  })
})

test('the unit of a text is the first that it names', () => {
  expect(['10.20 kg', '3 lb 8 oz', '13#', '10.1', '10 cups', ''].map(unitWritten)).toEqual([
    'kg',
    'lb',
    'lb',
    null,
    null,
    null,
  ])
})
