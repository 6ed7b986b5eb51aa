import { dayIn } from '@fleam/core/calendar'
import {
  explainUnsure,
  isGapKnown,
  type OrderPlan,
  type PlanAim,
  type PlanDraft,
  type PlanGoods,
  type UsualWays,
  valueIn,
} from '@fleam/core/planning'
import type { Plan } from '@fleam/core/plans'
import { useEffect, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router-dom'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useAcceptPlan, useDeletePlan, usePlan, usePlanGoods, usePlans } from '../../data/planning-queries.ts'
import { DayField } from '../../parts/day-field.tsx'
import { OpenFigure } from '../../parts/figure.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { warmPlanner } from '../../workers/plan-client.ts'
import { Answer } from './answer.tsx'
import { CanBeScheduled } from './can-be-scheduled.tsx'
import { DemandTable } from './demand-table.tsx'
import css from './plan.module.css'
import { PlanDetails } from './plan-details.tsx'
import { BesideBefore } from './rest/beside-before.tsx'
import { RestsOn } from './rests-on/rests-on.tsx'
import { ServiceLevel } from './service-level.tsx'
import { type DraftState, usePlanDraft } from './use-plan-draft.ts'
import { usePlanRun } from './use-plan-run.ts'
import { useSeconds } from './use-seconds.ts'

const MAX_DAYS = 14

/** A plan while it is made: who eats what, the answer, and everything that it rests on. */
export function DraftRoom({ plan }: { plan: Plan }) {
  const state = usePlanDraft(plan)
  const goods = usePlanGoods(
    state.draft.menu.map(({ productId }) => productId),
    state.draft.replaces,
  )
  useEffect(warmPlanner, [])
  return (
    <div className="room">
      <Heading state={state} planId={plan.id} />
      {state.saving === 'failed' ? <Failed error={state.error} retry={state.retry} /> : null}
      {goods.isError && !goods.data ? <Failed error={goods.error} retry={() => void goods.refetch()} /> : null}
      {goods.data ? (
        <Planned plan={plan} state={state} goods={goods.data} />
      ) : (
        <Loading what="prices, yields and what is in the cold" />
      )}
    </div>
  )
}

function Heading({ state, planId }: { state: DraftState; planId: string }) {
  const { timeZone } = useKitchen()
  const remove = useDeletePlan()
  const navigate = useNavigate()
  const { name, draft, change, rename, saving } = state
  return (
    <>
      <p className={`${css.back} no-print`}>
        <Link to="/plan">All plans</Link>
        <span className="quiet" role="status">
          {saving === 'kept' ? 'kept' : saving === 'failed' ? 'not kept' : 'keeping …'}
        </span>
      </p>
      <h1 className="visually-hidden">{name}</h1>
      <div className={`${css.heading} no-print`}>
        <Form.Group controlId="plan-name">
          <Form.Label>Plan</Form.Label>
          <Form.Control maxLength={120} value={name} onChange={(event) => rename(event.target.value)} />
        </Form.Group>
        <DayField
          label="First day"
          value={draft.from}
          onChange={(from) => from && change({ from })}
          {...(draft.from <= dayIn(timeZone, new Date()) ? { hint: 'has begun: days behind are planned too' } : {})}
        />
        <NumberField
          label="Days"
          value={draft.days}
          min={1}
          max={MAX_DAYS}
          onChange={(days, isValid) => {
            if (isValid && days !== null && Number.isInteger(days)) change({ days })
          }}
        />
        <Button
          variant="outline-dark"
          disabled={remove.isPending}
          onClick={() => remove.mutate(planId, { onSuccess: () => navigate('/plan') })}
        >
          Delete this plan
        </Button>
      </div>
      {remove.isError ? <Failed error={remove.error} /> : null}
    </>
  )
}

function Planned({ plan, state, goods }: { plan: Plan; state: DraftState; goods: PlanGoods }) {
  const { draft, change } = state
  const [seconds, setSeconds] = useSeconds()
  const usual = useUsualWays(plan.id)
  const run = usePlanRun({ draft, goods, seconds, usual })
  const [aim, setAim] = useState<PlanAim>('cost')
  const { accept } = useAcceptPlan(plan.id)
  const { answered: made } = run
  const shown = made && (aim === 'cost' ? made.plan : (made.aims[aim] ?? made.plan))
  const canAccept =
    made !== null &&
    run.isCurrent &&
    shown !== null &&
    shown.status !== 'refused' &&
    state.saving === 'kept' &&
    !accept.isPending
  return (
    <>
      <Answer run={run} shown={shown} aim={aim} onAim={setAim} seconds={seconds} onSeconds={setSeconds} />
      {made && shown && shown.status !== 'refused' ? (
        <>
          <Accept
            key={shown.cost.total}
            plan={shown}
            canAccept={canAccept}
            onAccept={() =>
              accept.mutate({ version: state.version, draft: made.draft, goods: made.goods, answer: shown })
            }
          />
          {accept.isError ? <Failed error={accept.error} /> : null}
          <div className={css.canBeDone}>
            {run.isCurrent ? <CanBeScheduled plan={plan} basis={made} shown={shown} change={change} /> : null}
          </div>
          {draft.replaces === null ? null : <BesideBefore planId={draft.replaces} made={made} shown={shown} />}
          <ServiceLevel plan={shown} draft={draft} isWhole={made.isWhole} change={change} />
        </>
      ) : null}
      <TooShort draft={draft} goods={goods} />
      <DemandTable draft={draft} goods={goods} change={change} />
      {made && shown && shown.status !== 'refused' ? (
        <PlanDetails plan={shown} basis={made} isWhole={made.isWhole} pins={draft.pins} setPin={state.setPin} />
      ) : null}
      <RestsOn state={state} goods={goods} />
    </>
  )
}

/** Above this share over the cheapest that is possible, accepting asks once. */
const UNSURE_GAP = 0.05

interface AcceptProps {
  plan: OrderPlan
  /** It answers what is asked now, and what is typed is kept. */
  canAccept: boolean
  onAccept: () => void
}

/** Accepts what is shown; where much less may be possible it asks once. */
function Accept({ plan, canAccept, onAccept }: AcceptProps) {
  const format = useFormat()
  const [isAsking, setIsAsking] = useState(false)
  const isUnsure = plan.status !== 'optimal' && plan.gap > UNSURE_GAP
  return (
    <div className={`${css.accept} no-print`}>
      <Button
        className="main-action"
        disabled={!canAccept || isAsking}
        onClick={() => (isUnsure ? setIsAsking(true) : onAccept())}
      >
        Accept this plan
      </Button>
      {isAsking ? (
        <p role="alert">
          {isGapKnown(plan) ? (
            <>
              It may cost{' '}
              <OpenFigure explain={() => explainUnsure(plan)} format={format}>
                {format.money(plan.cost.total - plan.bound)}
              </OpenFigure>{' '}
              more than the cheapest possible: time ran out before that was known.
            </>
          ) : (
            'Nobody knows how good it is: time ran out before that was known.'
          )}{' '}
          <Button size="sm" variant="outline-dark" disabled={!canAccept} onClick={onAccept}>
            Accept it all the same
          </Button>{' '}
          <Button size="sm" variant="outline-dark" onClick={() => setIsAsking(false)}>
            Look longer first
          </Button>
        </p>
      ) : (
        <span className="quiet">Its orders are then expected at the door, and what it cuts waits at the bench.</span>
      )}
    </div>
  )
}

/** What was cut and bought ready in the last week that was accepted; null before any was. */
function useUsualWays(planId: string): UsualWays | null {
  const { data: rows = [] } = usePlans()
  const last = rows.find(({ id, acceptedAt }) => id !== planId && acceptedAt !== null)
  const { data } = usePlan(last?.id ?? '', { isWanted: last !== undefined })
  const answer = data?.accepted?.answer
  return useMemo(
    () =>
      answer
        ? {
            cuts: answer.cutting.map(({ cut }) => cut),
            ready: answer.use.flatMap(({ source }) => (source.kind === 'ready' ? [source.name] : [])),
          }
        : null,
    [answer],
  )
}

/** A plan shorter than its portions keep counts good leftovers of its last day as rubbish. */
function TooShort({ draft, goods }: { draft: PlanDraft; goods: PlanGoods }) {
  const longest = Math.max(
    0,
    ...goods.products.flatMap((product) =>
      draft.menu.some(({ productId }) => productId === product.id)
        ? [valueIn(draft, { kind: 'product', id: product.id, field: 'keepsDays' }, product.keepsDays).value]
        : [],
    ),
  )
  if (longest <= draft.days) return null
  return (
    <p className="quiet">
      Some of it keeps {longest} days: plan at least as many, or what is good on the last day counts as left over.
    </p>
  )
}
