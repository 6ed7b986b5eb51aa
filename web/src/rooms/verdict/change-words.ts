import type { AssumptionChange } from '@fleam/core/explanation'
import type { CreditPolicy } from '@fleam/core/fabrication'
import { ALLOCATION_WORDS, POLICY_WORDS } from '@fleam/core/wording'
import type { Format } from '../../parts/use-format.ts'

const WORDS: Readonly<Record<AssumptionChange['what'], string>> = {
  price: 'purchase price',
  charges: 'charges',
  'invoice weight': 'on the invoice',
  'received weight': 'received',
  drained: 'drained',
  minutes: 'minutes to',
  wage: 'wage to',
  bags: 'costs of',
  value: 'value of',
  'used share': 'used of',
  processing: 'work on',
  'offer price': 'price of',
  pieces: 'pieces in',
  'piece weight': 'one piece of',
  'usable share': 'can be served of',
  handling: 'handling of',
  'credit policy': 'by-products count',
  allocation: 'cost is spread',
}

/** One changed assumption in words: what it is now, and what it is in the record. */
export function changeWords(change: AssumptionChange, format: Format): string {
  const name = [WORDS[change.what], change.of].filter((part) => part !== null).join(' ')
  return `${name} ${valueWords(change, 'after', format)}, not ${valueWords(change, 'before', format)}`
}

function valueWords(change: AssumptionChange, side: 'before' | 'after', format: Format): string {
  const value = change[side]
  if (value === null) return 'none'
  if (typeof value === 'string') {
    return change.what === 'allocation'
      ? ALLOCATION_WORDS[value as keyof typeof ALLOCATION_WORDS]
      : POLICY_WORDS[value as CreditPolicy].name
  }
  if (change.quantity === 'price') return `${format.money(value)} per ${change.per?.[side]}`
  return change.quantity === 'words' ? String(value) : format.quantity(value, change.quantity)
}
