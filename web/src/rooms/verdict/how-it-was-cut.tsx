import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { CAUSE_WORDS } from '../../parts/cause-words.ts'

/** What was chosen at the board, and what went wrong there, as the cook named it. */
export function HowItWasCut({ record }: { record: FabricationRecord }) {
  if (record.choices.length === 0 && record.causes.length === 0) return null
  return (
    <section aria-label="How it was cut">
      <h2>How it was cut</h2>
      {record.choices.length > 0 ? (
        <p>{record.choices.map(({ question, choice }) => `${question}: ${choice.toLowerCase()}`).join(' · ')}</p>
      ) : null}
      {record.causes.length > 0 ? (
        <ul>
          {record.causes.map(({ pileId, cause, isLasting }) => (
            <li key={pileId}>
              {record.piles.find((pile) => pile.id === pileId)?.name}: {CAUSE_WORDS[cause]}
              {isLasting ? ', from then on' : ''}
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}
