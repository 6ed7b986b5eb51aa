import type { StyleFile } from '@fleam/core/style'
import { pricesLeftOut } from './prices-left-out.ts'

const file = (currency: string | undefined, valuePerKg: number | null, costPerUnit: number | null = null) =>
  ({
    currency,
    style: { piles: [{ valuePerKg, processingPerKg: null }], consumables: [{ name: 'string', costPerUnit }] },
  }) as unknown as StyleFile

test('what was left out of a style is said, with the reason', () => {
  expect(pricesLeftOut(file('USD', 2.5), 'EUR')).toBe(
    'Its prices were left out: they are in USD, and this kitchen counts in EUR.',
  )
  expect(pricesLeftOut(file(undefined, null, 0.05), 'EUR')).toContain('does not say which currency')
  expect(pricesLeftOut(file('EUR', 2.5), 'EUR')).toBeNull()
  expect(pricesLeftOut(file('USD', null), 'EUR')).toBeNull()
})
