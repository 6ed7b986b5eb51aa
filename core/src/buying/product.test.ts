import { familyOf, productOf } from './index.ts'

test.each([
  ['Chicken, eviscerated', 'Chicken'],
  ['Lamb rack, eight ribs, chined, cap on', 'Lamb rack'],
  ['Duck', 'Duck'],
])('%s is a form of %s', (item, family) => {
  expect(familyOf(item)).toBe(family)
})

test('trade forms of one cut give one product, other animals another', () => {
  expect(productOf('Lamb rack, chined', 'frenched racks')).toBe(productOf('Lamb rack, chine on', 'frenched racks'))
  expect(productOf('Hake, gutted', 'portions')).not.toBe(productOf('Turbot, gutted', 'portions'))
})
