import { dayIn } from '@fleam/core/calendar'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useExpected } from '../../data/planning-queries.ts'
import { arrivedWords } from '../../parts/arrived-words.ts'
import { dayWords } from '../../parts/dates.ts'

/** Deliveries of today that are not here yet, and what came short of those that are. */
export function ExpectedToday() {
  const { timeZone } = useKitchen()
  const expected = useExpected()
  const today = dayIn(timeZone, new Date())
  const due = (expected.data ?? []).filter((line) => line.day <= today && !arrivedWords(line).isAll)
  if (due.length === 0) return null
  return (
    <section aria-labelledby="expected">
      <h2 id="expected">Deliveries</h2>
      <ul className="turned">
        {due.map((line) => (
          <li key={line.id}>
            <Link to="/buying/receiving">
              {line.supplier}: {line.packs} × {line.name}
            </Link>
            , {line.day === today ? 'today' : dayWords(line.day)}: {arrivedWords(line).words}.
          </li>
        ))}
      </ul>
    </section>
  )
}
