import { CATALOGUE, keepingOf, RECEIVING_CHECKS, receivingChecksFor } from './index.ts'

test.each([
  ['poultry', 'supremes', 'primary', 'portions', 2],
  ['poultry', 'drumsticks', 'by-product', 'portions', 2],
  ['poultry', 'bones and back', 'by-product', 'stock-bones', 2],
  ['red-meat', 'medallions', 'by-product', 'portions', 4],
  ['red-meat', 'tips', 'by-product', 'mince', 1],
  ['red-meat', 'back ribs', 'primary', 'portions', 4],
  ['fish', 'frame, head, collars', 'by-product', 'stock-bones', 2],
  ['fish', 'portions', 'primary', 'portions', 1],
] as const)('%s %s, %s, keeps as %s for %i days', (species, name, pileClass, kind, days) => {
  expect(keepingOf(species, { name, class: pileClass })).toMatchObject({ kind, chilledDays: days })
})

test('everything that is kept has a day in the cold and a month frozen', () => {
  for (const { species, styles } of CATALOGUE) {
    for (const pile of styles.flatMap((style) => style.piles)) {
      const { chilledDays, frozenMonths } = keepingOf(species, pile)
      expect(chilledDays >= 1 && frozenMonths >= 2).toBe(true)
    }
  }
})

test('checks at the door fit the animal, and each animal’s temperature has a limit', () => {
  const ids = (species: 'poultry' | 'fish' | 'red-meat') => receivingChecksFor(species).map((check) => check.id)
  expect(ids('poultry')).toEqual(expect.arrayContaining(['temperature', 'seal', 'liquid', 'skin', 'keel', 'size']))
  expect(ids('fish')).toEqual(expect.arrayContaining(['fish-temperature', 'stiffness', 'days-since-catch']))
  expect(ids('fish')).not.toContain('skin')
  expect(ids('red-meat')).toContain('fat-cover')
  for (const species of ['poultry', 'fish', 'red-meat'] as const) {
    expect(
      receivingChecksFor(species).some((check) => check.number?.unit === '°C' && check.number.faultAbove !== null),
    ).toBe(true)
  }
  expect(new Set(RECEIVING_CHECKS.map((check) => check.id)).size).toBe(RECEIVING_CHECKS.length)
})
