import { type OrderPlan, planLines } from '@fleam/core/planning'
import { cuttingBeside } from '@fleam/core/plans'
import { Link } from 'react-router-dom'
import { usePlan } from '../../../data/planning-queries.ts'
import { dayWords } from '../../../parts/dates.ts'
import { numbers, SmallTable } from '../../../parts/small-table.tsx'
import { useFormat } from '../../../parts/use-format.ts'
import type { PlanBasis } from '../use-plan-run.ts'

/** What is left of the plan before, beside what is planned now in its place. */
export function BesideBefore({ planId, made, shown }: { planId: string; made: PlanBasis; shown: OrderPlan }) {
  const format = useFormat()
  const { data: old } = usePlan(planId)
  if (!old?.accepted) return null
  const rows = cuttingBeside(old.accepted.planned, planLines(shown, made.goods, made.draft))
  const count = (units: number) => (units === 0 ? '–' : format.quantity(units, 'count'))
  return (
    <section aria-labelledby="beside-before">
      <h2 id="beside-before">Before and after</h2>
      <p className="quiet">
        Accepted, this stands in the place of what is left of <Link to={`/plan/${old.id}`}>{old.name}</Link>. What is
        cut already stays, and what is ordered comes; the money is what is spent on top of it.
      </p>
      <div className="table-responsive">
        <SmallTable heads={['Day', 'What is cut', numbers('Before'), numbers('After')]}>
          {rows.map(({ day, styleId, name, before, after }) => (
            <tr key={`${day} ${styleId}`} className={before === after ? 'quiet' : ''}>
              <td>{dayWords(day)}</td>
              <th scope="row">{name}</th>
              <td className="number">{count(before)}</td>
              <td className="number">{count(after)}</td>
            </tr>
          ))}
        </SmallTable>
      </div>
    </section>
  )
}
