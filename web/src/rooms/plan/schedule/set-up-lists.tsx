import { addDays, type Day } from '@fleam/core/calendar'
import type { SetUp } from '@fleam/core/plans'
import { setUpLines } from '@fleam/core/wording'
import { dayWords } from '../../../parts/dates.ts'
import { useFormat } from '../../../parts/use-format.ts'
import css from './schedule.module.css'

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
              {setUpLines({ jobs, tools, piles }, format).map(({ words, more }) => (
                <li key={`${words} ${more}`}>
                  <span className={css.box} aria-hidden /> {words}
                  {more === '' ? null : <span className="form-text"> {more}</span>}
                </li>
              ))}
            </ul>
          </article>
        ))}
      </div>
    </section>
  )
}
