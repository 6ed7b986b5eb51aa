import { useParams } from 'react-router-dom'
import { usePlan } from '../../data/planning-queries.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { AcceptedPlan } from './accepted-plan.tsx'
import { DraftRoom } from './draft-room.tsx'

/** One plan: while it is made, or what came of it once it was accepted. */
export function Component() {
  const { planId = '' } = useParams()
  const plan = usePlan(planId)
  if (plan.isError && !plan.data) return <Failed error={plan.error} retry={() => void plan.refetch()} />
  if (!plan.data) return <Loading what="the plan" />
  const { accepted } = plan.data
  return accepted ? <AcceptedPlan plan={plan.data} accepted={accepted} /> : <DraftRoom key={planId} plan={plan.data} />
}
