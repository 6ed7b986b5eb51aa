import type { Verdict } from '../comparison/index.ts'
import type { Allocation, CreditPolicy } from '../fabrication/index.ts'

export const VERDICT_WORDS: Readonly<Record<Verdict | 'none', string>> = {
  make: 'make',
  buy: 'buy',
  even: 'even',
  none: 'no verdict',
}

export const POLICY_WORDS: Readonly<Record<CreditPolicy, { name: string; means: string }>> = {
  none: { name: 'for nothing', means: 'Only portions count; trim and bones are worth nothing.' },
  book: { name: 'at full value', means: 'Every gram counts at its value, used or not.' },
  used: { name: 'when used', means: 'Only the share that is really used counts.' },
  net: { name: 'when used, less work', means: 'What is used, less what it costs to process.' },
}

export const ALLOCATION_WORDS: Readonly<Record<Allocation, string>> = {
  weight: 'by weight',
  value: 'by market value',
  portion: 'by number of portions',
}
