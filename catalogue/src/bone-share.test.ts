import { boneShareOf } from './bone-share.ts'

test.each([
  ['poultry', 'supremes', 0.07],
  ['poultry', 'thighs, boneless', 0],
  ['poultry', 'thighs', 0.2],
  ['poultry', 'breasts, boneless', 0],
  ['poultry', 'breasts', 0],
  ['fish', 'portions', 0],
  ['fish', 'sections', 0.22],
  ['red-meat', 'centre steaks', 0],
  ['red-meat', 'frenched racks', 0.2],
] as const)('%s: %s are %d bone', (species, pile, share) => {
  expect(boneShareOf(species, pile)).toBe(share)
})
