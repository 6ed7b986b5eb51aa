import fc from 'fast-check'
import { nameKey } from './index.ts'

test.each([
  ['Ostravale Poultry Yard', 'OSTRAVALE poultry yard', true],
  [' Skerrow Quay Fish ', 'Skerrow Quay Fish', true],
  ['Caf\u00e9', 'Cafe\u0301', true],
  ['Café', 'Cafe', false],
  ['Duck', 'Ducks', false],
])('%s and %s are one name: %s', (one, other, isOne) => {
  expect(nameKey(one) === nameKey(other)).toBe(isOne)
})

test('a key is its own key', () => {
  fc.assert(
    fc.property(fc.string(), (name) => {
      const key = nameKey(name)
      return nameKey(key) === key
    }),
  )
})
