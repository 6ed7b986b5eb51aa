import { cookingLossOf } from './index.ts'

test.each([
  ['poultry', 'Chicken, eviscerated', 'supremes', 0.22],
  ['poultry', 'Duck', 'legs', 0.35],
  ['red-meat', 'Beef tenderloin', 'centre steaks', 0.15],
  ['red-meat', 'Lamb rack, chined', 'frenched racks', 0.18],
  ['fish', 'Hake', 'portions', 0.14],
] as const)('%s, %s: cooking takes from %s', (species, item, pile, loss) => {
  expect(cookingLossOf(species, item, pile)).toBe(loss)
})
