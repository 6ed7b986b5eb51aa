import type { Verdict } from '@fleam/core'

export const VERDICT_WORDS: Readonly<Record<Verdict | 'none', string>> = {
  make: 'make',
  buy: 'buy',
  even: 'even',
  none: 'no verdict',
}
