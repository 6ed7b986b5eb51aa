import type { OrderPlan, PlanDraft } from '@fleam/core/planning'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useFormat } from '../../parts/use-format.ts'

interface ServiceLevelProps {
  plan: OrderPlan
  draft: PlanDraft
  isWhole: boolean
  change: (part: Partial<PlanDraft>) => void
}

const LOWEST = 50
const HIGHEST = 99

/** How sure it is to be that portions are enough, what that costs, and how the plan does when it is tried. */
export function ServiceLevel({ plan, draft, isWhole, change }: ServiceLevelProps) {
  const format = useFormat()
  const { service } = plan
  const [moved, setMoved] = useState<number | null>(null)
  const percent = moved ?? Math.round(draft.service * 100)
  const keep = () => {
    if (moved !== null) change({ service: moved / 100 })
    setMoved(null)
  }
  return (
    <section aria-labelledby="plan-service" className="no-print">
      <h2 id="plan-service">How sure it is to be enough</h2>
      <Form.Group controlId="service-level">
        <Form.Label>
          {percent === LOWEST
            ? 'Enough every other week: yields as they usually are'
            : `Each product is enough in ${percent} of 100 weeks`}
        </Form.Label>
        <Form.Range
          min={LOWEST}
          max={HIGHEST}
          value={percent}
          onChange={(event) => setMoved(Number(event.target.value))}
          onPointerUp={keep}
          onKeyUp={keep}
          onBlur={keep}
        />
      </Form.Group>
      <p role="status">
        Tried in {format.number(service.draws, 0)} weeks: the product that fails most often is enough in{' '}
        {format.share(service.met)} of them, everything at once in {format.share(service.all)}.{' '}
        {service.premium !== null && draft.service > 0.5
          ? `That much safety costs ${format.money(service.premium)} beside a plan that is enough every other week.`
          : isWhole && draft.service > 0.5
            ? 'What the safety costs cannot be told: without it another demand would be short.'
            : ''}
      </p>
    </section>
  )
}
