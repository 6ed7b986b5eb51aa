import { explainPlanCost, planLines, planRequest } from '@fleam/core/planning'
import type { ExpectedLine, Plan, PlannedFabrication } from '@fleam/core/plans'
import { isWaiting } from '@fleam/core/plans'
import { planWords, provenWords } from '@fleam/core/wording'
import { useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useAcceptPlan } from '../../data/planning-queries.ts'
import { arrivedWords } from '../../parts/arrived-words.ts'
import { dayWords } from '../../parts/dates.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { numbers, SmallTable } from '../../parts/small-table.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { Bill } from './answer.tsx'
import css from './plan.module.css'
import { PlanDetails } from './plan-details.tsx'

type Accepted = NonNullable<Plan['accepted']>

/** A plan that was accepted: what it said, what came, and what was really cut. */
export function AcceptedPlan({ plan, accepted }: { plan: Plan; accepted: Accepted }) {
  const format = useFormat()
  const { currency } = useKitchen()
  const { withdraw } = useAcceptPlan(plan.id)
  const { draft, goods, answer, expected, planned } = accepted
  const basis = useMemo(() => ({ draft, goods, asked: planRequest(draft, goods, currency) }), [draft, goods, currency])
  const lines = useMemo(() => planLines(answer, goods, draft), [answer, goods, draft])
  return (
    <div className="room">
      <p className={`${css.back} no-print`}>
        <Link to="/plan">All plans</Link>
      </p>
      <div className="room-heading no-print">
        <h1>{plan.name}</h1>
        <Link className="btn btn-primary" to={`/plan/${plan.id}/schedule`}>
          Schedule
        </Link>
        {planned.some(isWaiting) ? (
          <Link className="btn btn-outline-dark" to={`/plan/${plan.id}/rest`}>
            Plan what is left
          </Link>
        ) : null}
        <Button variant="outline-dark" disabled={withdraw.isPending} onClick={() => withdraw.mutate(plan.version)}>
          Cancel this plan
        </Button>
      </div>
      {withdraw.isError ? <Failed error={withdraw.error} /> : null}
      <p className={css.sentence}>
        {planWords(lines, format, dayWords)}:{' '}
        <OpenFigure explain={() => explainPlanCost(answer, basis.asked, 'total')} format={format}>
          {format.money(answer.cost.total)}
        </OpenFigure>
        .
      </p>
      <p className="quiet">
        {provenWords(answer, format)} <Bill lines={lines} />
      </p>
      <Expected lines={expected} />
      <PlannedAndReal planned={planned} />
      <PlanDetails plan={answer} basis={basis} isWhole />
    </div>
  )
}

function Expected({ lines }: { lines: readonly ExpectedLine[] }) {
  if (lines.length === 0) return null
  return (
    <section aria-labelledby="plan-expected">
      <h2 id="plan-expected">What came</h2>
      <ul>
        {lines.map((line) => {
          const { words, isShort } = arrivedWords(line)
          return (
            <li key={line.id}>
              {dayWords(line.day)}, {line.supplier}: {line.packs} × {line.name}.{' '}
              <span className={isShort ? css.short : 'quiet'}>{words}</span>{' '}
              {line.lots.map(({ id, code }) => (
                <Link key={id} to={`/buying/lots/${id}`}>
                  lot {code ?? 'without a number'}
                </Link>
              ))}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** Planned beside real: portions, minutes and money of each fabrication. */
function PlannedAndReal({ planned }: { planned: readonly PlannedFabrication[] }) {
  const format = useFormat()
  if (planned.length === 0) return null
  const beside = (plan: number, real: number | undefined, word: (value: number) => string) => (
    <td className="number">
      {real === undefined ? <span className="quiet">–</span> : word(real)}
      <br />
      <span className="quiet">planned {word(plan)}</span>
    </td>
  )
  return (
    <section aria-labelledby="plan-real">
      <h2 id="plan-real">Planned and real</h2>
      <div className="table-responsive">
        <SmallTable
          heads={['Day', 'What', numbers('How many'), numbers('Portions'), numbers('Minutes'), numbers('Cost'), 'Now']}
        >
          {planned.map((row) => {
            const portions = row.portions.reduce((sum, { quantity }) => sum + quantity, 0)
            const real = row.real?.portions.reduce((sum, { quantity }) => sum + quantity, 0)
            return (
              <tr key={row.id}>
                <td>{dayWords(row.day)}</td>
                <th scope="row">
                  {row.item}: {row.style}
                </th>
                {beside(row.units, row.real?.units, (value) => format.quantity(value, 'count'))}
                {beside(portions, real, (value) => format.quantity(value, 'count'))}
                {beside(row.minutes, row.real?.minutes, (value) => format.quantity(value, 'minutes'))}
                {beside(row.money, row.real?.money, format.money)}
                <td>
                  <State planned={row} />
                </td>
              </tr>
            )
          })}
        </SmallTable>
      </div>
    </section>
  )
}

function State({ planned: { fabricationId, real, isDropped } }: { planned: PlannedFabrication }) {
  if (fabricationId === null) return <span className="quiet">{isDropped ? 'not cut after all' : 'waits'}</span>
  return real?.isClosed ? (
    <Link to={`/verdict/${fabricationId}`}>finished</Link>
  ) : (
    <Link to={`/bench/${fabricationId}`}>on the board</Link>
  )
}
