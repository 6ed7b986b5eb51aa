import { planOperations } from '@fleam/contract/planning/operations'
import { addDays, dayIn } from '@fleam/core/calendar'
import type { PlanDraft } from '@fleam/core/planning'
import { emptyDraft } from '@fleam/core/planning'
import type { PlanRow } from '@fleam/core/plans'
import { surenessWords } from '@fleam/core/wording'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { call } from '../../data/api.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCreatePlan, usePlans } from '../../data/planning-queries.ts'
import { useSchedulesStanding } from '../../data/schedule-queries.ts'
import { dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { againFrom, nextFrom } from './new-draft.ts'
import css from './plan.module.css'

/** Every plan, the latest first; a new one begins as the last one did. */
export function Component() {
  const plans = usePlans()
  if (plans.data) return <Plans rows={plans.data} />
  if (plans.isError) return <Failed error={plans.error} retry={() => void plans.refetch()} />
  return <Loading what="the plans" />
}

function Plans({ rows }: { rows: readonly PlanRow[] }) {
  const kitchen = useKitchen()
  const create = useCreatePlan()
  const standing = useSchedulesStanding()
  const navigate = useNavigate()
  const [last] = rows
  const begin = (name: string, draft: PlanDraft) =>
    create.mutate({ id: newId(), name, draft }, { onSuccess: ({ id }) => navigate(`/plan/${id}`) })
  const from = nextFrom(rows, dayIn(kitchen.timeZone, new Date()))
  const again = async (row: PlanRow) => {
    const { draft } = await call(planOperations.readPlan, { kitchenId: kitchen.id, planId: row.id })
    const next = againFrom(draft, from)
    begin(row.name.slice(0, MAX_NAME), next)
  }
  return (
    <div className="room">
      <div className="room-heading">
        <h1>Plan</h1>
        <Button disabled={create.isPending} onClick={() => begin(`From ${dayWords(from)}`, emptyDraft(from))}>
          Plan a week
        </Button>
        {last ? (
          <Button variant="outline-dark" disabled={create.isPending} onClick={() => void again(last)}>
            As “{last.name}” again
          </Button>
        ) : null}
      </div>
      {create.isError ? <Failed error={create.error} /> : null}
      {rows.length === 0 ? (
        <Empty title="Nothing is planned yet">
          <p>Say how many eat on which day and what share of them takes what: you are told what to buy and to cut.</p>
        </Empty>
      ) : (
        <ul className={css.plans}>
          {rows.map((row) => (
            <li key={row.id}>
              <Link to={`/plan/${row.id}`}>{row.name}</Link>
              <span>
                {dayWords(row.from)} to {dayWords(addDays(row.from, row.days - 1))}
              </span>
              <RowWords row={row} late={standing.data?.find(({ planId }) => planId === row.id)?.lateMinutes ?? 0} />
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

const MAX_NAME = 120

/** What a plan costs and how sure that is, how far it has come, and what is to do. */
function RowWords({ row, late }: { row: PlanRow; late: number }) {
  const format = useFormat()
  const { answer, expected, arrived, planned, finished, nextDelivery, overdue } = row
  if (answer === null) return <span className="quiet">not accepted</span>
  return (
    <>
      <span>
        {format.money(answer.total)} <span className="quiet">{surenessWords(answer, format)}</span>
      </span>
      {answer.short > 0 ? (
        <span className={css.short}>{format.quantity(answer.short, 'count')} portions short</span>
      ) : null}
      {late >= 1 ? (
        <span className={css.short}>
          <Link to={`/plan/${row.id}/schedule`}>{format.quantity(late, 'minutes')} late in its schedule</Link>
        </span>
      ) : null}
      {overdue > 0 ? <span className={css.short}>{overdue} should have been cut before today</span> : null}
      <span className="quiet">
        {arrived} of {expected} order lines came, {finished} of {planned} fabrications finished
        {nextDelivery === null ? '' : `; the next delivery is on ${dayWords(nextDelivery)}`}
      </span>
    </>
  )
}
