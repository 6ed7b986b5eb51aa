import type { Cook } from '@fleam/contract/kitchen/schemas'
import type { Plan, StylesWork } from '@fleam/core/plans'
import type { Item } from '@fleam/core/style'
import { Link, useParams } from 'react-router-dom'
import { usePlan } from '../../../data/planning-queries.ts'
import { useCooks, useItems } from '../../../data/queries.ts'
import { usePlanWork } from '../../../data/schedule-queries.ts'
import { Empty, Failed, Loading } from '../../../parts/states.tsx'
import { ScheduleRoom } from './schedule-room.tsx'

/** Who does what, when, for an accepted plan. */
export function Component() {
  const { planId = '' } = useParams()
  const [plan, items, cooks] = [usePlan(planId, { isLive: true }), useItems(), useCooks()]
  const works = usePlanWork(planId)
  const failed = [plan, items, cooks, works].find((query) => query.isError && !query.data)
  if (failed) return <Failed error={failed.error} retry={() => void failed.refetch()} />
  if (!plan.data || !items.data || !cooks.data || !works.data) return <Loading what="the plan" />
  return (
    <Accepted
      plan={plan.data}
      items={items.data}
      cooks={cooks.data}
      works={works.data}
      isRead={plan.isFetchedAfterMount || !plan.isStale}
    />
  )
}

interface AcceptedProps {
  plan: Plan
  items: Item[]
  cooks: Cook[]
  works: StylesWork
  isRead: boolean
}

function Accepted({ plan, ...rest }: AcceptedProps) {
  if (plan.accepted) return <ScheduleRoom plan={plan} accepted={plan.accepted} {...rest} />
  return (
    <div className="room">
      <Empty title="This plan is not accepted yet">
        <p>
          <Link to={`/plan/${plan.id}`}>Accept it first</Link>: then it is said who cuts what when.
        </p>
      </Empty>
    </div>
  )
}
