import { formatFor } from './index.ts'

const plain = (text: string) => text.replaceAll('\u00a0', ' ')
const american = formatFor('USD', 'imperial')
const austrian = formatFor('EUR', 'metric', 'comma')

test.each([
  ['Keep it at or below 5 °C (41 °F).', 'Keep it at or below 41 °F (5 °C).'],
  ['cool it from 57 to 21 °C', 'cool it from 135 to 70 °F (57 to 21 °C)'],
  ['\u221220 °C', '\u22124 °F (\u221220 °C)'],
  ['Steaks of 3 to 4 cm', 'Steaks of 1 3/16 to 1 9/16 in'],
  ['Leave 3 to 6 mm of fat', 'Leave 1/8 to 1/4 in of fat'],
  ['each 2 kg', 'each 4 lb 6.5 oz'],
  ['what a kilo costs; labour included', 'what a pound costs; labor included'],
  ['Utilisation', 'Utilization'],
  ['12 g', '0.4 oz'],
])('in pounds, %p reads %p', (text, words) => {
  expect(plain(american.words(text))).toBe(words)
})

test('other kitchens read a text as it is written, a comma for the point', () => {
  const text = 'Steaks of 1.5 to 2.5 cm at 5 °C (41 °F), labour in'
  expect(formatFor('EUR', 'metric').words(text)).toBe(text)
  expect(austrian.words(text)).toBe('Steaks of 1,5 to 2,5 cm at 5 °C (41 °F), labour in')
})

test('a kitchen with commas reads every figure so, and never a point for thousands', () => {
  expect(plain(austrian.money(1234.5))).toBe('€1 234,50')
  expect(plain(austrian.weight(12_480))).toBe('12,48 kg')
  expect(plain(austrian.share(0.1234))).toBe('12,3 %')
  expect(plain(austrian.perWeight(4.61))).toBe('€4,61 a kilo')
  expect(austrian.typed(4.615)).toBe('4,615')
})

test('lengths and heat are said as the kitchen measures them', () => {
  expect([american.length(35), austrian.length(35.4)].map(plain)).toEqual(['1 3/8 in', '35 mm'])
  expect([american.heat(4), austrian.heat(3.5)].map(plain)).toEqual(['39 °F', '3,5 °C'])
})
