import { isWaiting } from '@fleam/core/plans'
import { Link } from 'react-router-dom'
import { usePlanned } from '../../data/planning-queries.ts'

/** Where a day goes otherwise than its plan: what is left of it can be planned from what is really there. */
export function Otherwise() {
  const planned = usePlanned()
  const plans = new Map((planned.data ?? []).filter(isWaiting).map(({ planId, plan }) => [planId, plan]))
  if (plans.size === 0) return null
  return (
    <p className="quiet">
      A delivery is short, somebody is ill, more come to eat?{' '}
      {[...plans].map(([id, name], index) => (
        <span key={id}>
          {index > 0 ? ' · ' : ''}
          <Link to={`/plan/${id}/rest`}>Plan what is left of {name}</Link>
        </span>
      ))}
    </p>
  )
}
