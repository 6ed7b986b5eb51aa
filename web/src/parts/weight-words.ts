import type { WeightIssueCode } from '@fleam/core/units'

const EXAMPLES = { metric: '840, 1.2 kg or 2 lb 3 oz', imperial: '2.5, 9 oz or 2 lb 3 oz' } as const

/** What a refusal of a typed weight says, and what would be right. */
export function weightRefusal(code: WeightIssueCode, units: 'metric' | 'imperial'): string {
  switch (code) {
    case 'empty':
      return `Type a weight, such as ${EXAMPLES[units]}.`
    case 'not-a-weight':
      return `This is not a weight. Type ${EXAMPLES[units]}.`
    case 'negative':
      return 'A weight is never negative. Tare the scale or type it again.'
    case 'too-heavy':
      return 'Nothing in a kitchen weighs this much. Was it typed in the wrong unit?'
  }
}
