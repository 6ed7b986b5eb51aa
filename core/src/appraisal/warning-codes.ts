export const WARNING_CODES = [
  'balance-over',
  'balance-lost',
  'short-delivery',
  'no-portions',
  'allocation-fell-back',
  'credit-negative',
  'underweight-pieces',
] as const
export type WarningCode = (typeof WARNING_CODES)[number]
