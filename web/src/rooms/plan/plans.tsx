import type { PlanRow } from '@fleam/contract'
import { addDays, type PlanDraft } from '@fleam/core'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { getJson } from '../../data/api.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { kitchenPath } from '../../data/paths.ts'
import { useCreatePlan, usePlans } from '../../data/planning-queries.ts'
import { dayIn, dayWords } from '../../parts/dates.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { againFrom, emptyDraft, nextFrom } from './new-draft.ts'
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
  const navigate = useNavigate()
  const [last] = rows
  const begin = (name: string, draft: PlanDraft) =>
    create.mutate({ id: newId(), name, draft }, { onSuccess: ({ id }) => navigate(`/plan/${id}`) })
  const from = nextFrom(rows, dayIn(kitchen.timeZone, new Date()))
  const again = async (row: PlanRow) => {
    const { draft } = await getJson<{ draft: PlanDraft }>(`${kitchenPath(kitchen.id)}/plans/${row.id}`)
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
              <span className="quiet">{rowWords(row)}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

const MAX_NAME = 120

/** How far a plan has come. */
function rowWords({ acceptedAt, expected, arrived, planned, finished }: PlanRow): string {
  if (acceptedAt === null) return 'not accepted'
  return `${arrived} of ${expected} order lines came, ${finished} of ${planned} fabrications finished`
}
