import type { WeightIssueCode } from '@fleam/core'

/** What a refusal of a typed weight says, and what would be right. */
export const WEIGHT_REFUSALS: Readonly<Record<WeightIssueCode, string>> = {
  empty: 'Type a weight, such as 840, 1.2 kg or 2 lb 3 oz.',
  'not-a-weight': 'This is not a weight. Type 840, 1.2 kg or 2 lb 3 oz.',
  negative: 'A weight is never negative. Tare the scale or type it again.',
  'too-heavy': 'Nothing in a kitchen weighs this much. Was it typed in the wrong unit?',
}
