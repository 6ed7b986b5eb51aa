import type { SetUp } from '@fleam/contract'
import { addDays, type Day } from '@fleam/core'
import { dayWords } from '../../../parts/dates.ts'
import { TOOL_WORDS } from '../../../parts/tool-words.ts'
import { useFormat } from '../../../parts/use-format.ts'
import css from './schedule.module.css'

const SPECIES_WORDS = { fish: 'fish', 'red-meat': 'red meat', poultry: 'poultry' } as const

/** What to lay out at each board and saw, for each day. */
export function SetUpLists({ from, setUps }: { from: Day; setUps: readonly SetUp[] }) {
  const format = useFormat()
  if (setUps.length === 0) return null
  return (
    <section aria-labelledby="set-ups">
      <h2 id="set-ups">Set-up lists</h2>
      <div className={css.lists}>
        {setUps.map(({ station, number, day, jobs, tools, piles }) => (
          <article key={`${day} ${station} ${number}`} className={css.list}>
            <h3>
              {dayWords(addDays(from, day))}, {station} {number}
            </h3>
            <ul>
              <li>
                <span className={css.box} aria-hidden /> Clean board on a damp cloth, sanitiser, hand wash within reach,
                scale with its empty container tared
              </li>
              <li>
                <span className={css.box} aria-hidden /> Mat for{' '}
                {[...new Set(jobs.map(({ job }) => SPECIES_WORDS[job.species]))].join(', then ')}
              </li>
              <li>
                <span className={css.box} aria-hidden />{' '}
                {[...new Set([...tools, 'scale' as const])].map((tool) => TOOL_WORDS[tool]).join(', ')}
              </li>
              {piles.map(({ of, name, grams, pieces }) => (
                <li key={`${of} ${name}`}>
                  <span className={css.box} aria-hidden /> Container and label: {name}
                  <span className="form-text">
                    {' '}
                    {of}
                    {grams === null ? '' : `, about ${format.weight(grams)}`}
                    {pieces === null ? '' : `, ${format.quantity(pieces, 'count')} pieces`}
                  </span>
                </li>
              ))}
            </ul>
          </article>
        ))}
      </div>
    </section>
  )
}
