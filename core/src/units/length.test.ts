import { formatInches, parseLength } from './length.ts'

test.each([
  ['35', 35],
  ['3,5 cm', 35],
  ['35 mm', 35],
  ['1 3/8"', 34.925],
  ['3/4 in', 19.05],
  ['2 inches', 50.8],
])('%s is %d mm', (text, mm) => {
  expect(parseLength(text)).toBeCloseTo(mm, 9)
})

test('a bare number is inches where a kitchen says so', () => {
  expect(parseLength('1 1/2', 'in')).toBeCloseTo(38.1, 9)
  expect(parseLength('40 mm', 'in')).toBe(40)
})

test.each(['', 'thick', '3 stone', '1/0', '-3', '3 / 8 /'])('%p is no length', (text) => {
  expect(parseLength(text)).toBeNull()
})

test.each([
  [34.925, '1 3/8'],
  [25.4, '1'],
  [19.05, '3/4'],
  [0.2, '0'],
  [-12.7, '\u22121/2'],
])('%d mm is %s inches', (mm, words) => {
  expect(formatInches(mm)).toBe(words)
})

test('what is shown in inches is read again as the nearest sixteenth', () => {
  for (let mm = 1; mm < 400; mm += 3.7) {
    expect(Math.abs((parseLength(formatInches(mm), 'in') as number) - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-9)
  }
})
