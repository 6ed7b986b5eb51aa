import Button from 'react-bootstrap/Button'
import type { OutboxEntry } from '../outbox/entry.ts'
import { outbox, useOutbox } from '../outbox/page-outbox.ts'
import { useFormat } from './use-format.ts'

/** Weighings that the server would not take, each with its reason; they stay on this device until somebody lets them go. */
export function Refused() {
  const { refused } = useOutbox()
  const format = useFormat()
  if (refused.length === 0) return null
  const wordsOf = ({ fact }: OutboxEntry) =>
    fact.kind === 'reading' ? format.weight(fact.grams) : KIND_WORDS[fact.kind]
  return (
    <section className="refused" role="alert">
      <ul>
        {refused.map(({ entry, reason }) => (
          <li key={entry.id}>
            {wordsOf(entry)} was not taken: {reason} It is kept here.{' '}
            <Button size="sm" variant="outline-dark" onClick={() => void outbox.dismiss(entry.id)}>
              Delete it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}

const KIND_WORDS = {
  void: 'A withdrawal',
  move: 'A move to another pile',
  count: 'A number of pieces',
  mark: 'A clock or a step',
  board: 'What lies on the board',
  plate: 'The number of a plate',
  'measured-cut': 'A planned portion',
} as const
