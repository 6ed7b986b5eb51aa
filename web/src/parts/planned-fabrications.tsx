import { receivingOperations } from '@fleam/contract/receiving/operations'
import { dayIn } from '@fleam/core/calendar'
import type { PlannedFabrication } from '@fleam/core/plans'
import { unitsFromLot } from '@fleam/core/receiving'
import { clockWords } from '@fleam/core/wording'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { call } from '../data/api.ts'
import { useKitchen } from '../data/kitchen-context.ts'
import { usePlanned, useUpdatePlanned } from '../data/planning-queries.ts'
import { useCooks, useItems, useStartPlanned } from '../data/queries.ts'
import { dayWords } from './dates.ts'
import css from './planned-fabrications.module.css'
import { Failed } from './states.tsx'
import { useFormat } from './use-format.ts'

/** What accepted plans have for the bench until a day: one touch starts each. */
export function PlannedFabrications({ until }: { until: string }) {
  const planned = usePlanned()
  const due = (planned.data ?? [])
    .filter(({ day }) => day <= until)
    .sort((a, b) => placeOf(a).localeCompare(placeOf(b)))
  if (due.length === 0) return null
  return (
    <section aria-labelledby="planned">
      <h2 id="planned">Planned</h2>
      <ul className={css.planned}>
        {due.map((fabrication) => (
          <PlannedRow key={fabrication.id} planned={fabrication} />
        ))}
      </ul>
    </section>
  )
}

/** Days in their order, and within one what the schedule begins first. */
const placeOf = ({ day, begins }: PlannedFabrication) =>
  `${begins?.day ?? day} ${String(Math.round(begins?.minute ?? 9_999)).padStart(4, '0')}`

function PlannedRow({ planned }: { planned: PlannedFabrication }) {
  const { timeZone } = useKitchen()
  const format = useFormat()
  const items = useItems()
  const cooks = useCooks()
  const update = useUpdatePlanned()
  const begin = useBegin(planned)
  const { id, style, item, units, day, begins, cookId, minutes, isDropped, lotId } = planned
  const unitName = items.data?.find((row) => row.id === planned.itemId)?.unitName
  const today = dayIn(timeZone, new Date())
  const unitWords = `${units} ${units === 1 ? (unitName?.one ?? '') : (unitName?.many ?? '')}`
  return (
    <li>
      <div>
        <strong>
          {unitWords} of {item}
        </strong>{' '}
        for {style.toLowerCase()}
        <br />
        <span className="quiet">
          <span className={day < today ? css.late : ''}>{dayWords(begins?.day ?? day)}</span>
          {begins ? ` ${clockWords(begins.minute)}` : ''} · {format.quantity(minutes, 'minutes')} ·{' '}
          {lotId === null ? 'waits for its delivery' : <Link to={`/buying/lots/${lotId}`}>from its lot</Link>} ·{' '}
          <Link to={`/plan/${planned.planId}`}>{planned.plan}</Link>
        </span>
      </div>
      <Form.Select
        aria-label={`Who cuts ${unitWords} of ${item}`}
        value={cookId ?? begins?.cookId ?? ''}
        disabled={update.isPending}
        onChange={(event) => update.mutate({ plannedId: id, cookId: event.target.value || null, isDropped })}
      >
        <option value="">who cuts?</option>
        {(cooks.data ?? []).map((cook) => (
          <option key={cook.id} value={cook.id}>
            {cook.name}
          </option>
        ))}
      </Form.Select>
      {lotId === null ? (
        <Link className="btn btn-outline-dark" to={`/bench?planned=${id}`}>
          Start without a lot …
        </Link>
      ) : (
        <Button variant="outline-dark" disabled={begin.isPending} onClick={begin.start}>
          Start
        </Button>
      )}
      <Button
        size="sm"
        variant="link"
        disabled={update.isPending}
        aria-label={`Remove ${unitWords} of ${item} from the plan`}
        onClick={() => update.mutate({ plannedId: id, cookId, isDropped: true })}
      >
        Remove from plan
      </Button>
      {begin.error || update.isError ? <Failed error={begin.error ?? update.error} /> : null}
    </li>
  )
}

/** Starts a planned fabrication with its lot: style, number, weights, price and cook are there. */
function useBegin(planned: PlannedFabrication) {
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const start = useStartPlanned()
  const [failure, setFailure] = useState<unknown>(null)
  const [isAsking, setAsking] = useState(false)
  // Touched again after a failure it is the same record.
  const [fabricationId] = useState(() => newId())
  const begin = async () => {
    setAsking(true)
    setFailure(null)
    try {
      const { lot, usedWeight } = await call(receivingOperations.readLot, {
        kitchenId: kitchen.id,
        lotId: planned.lotId ?? '',
      })
      const bought = unitsFromLot(lot, usedWeight, planned.units)
      if (!bought || lot.standing !== 'accepted') {
        // Something has to be said first: the form asks for it.
        navigate(`/bench?planned=${planned.id}${bought ? `&lot=${lot.id}` : ''}`)
        return
      }
      const now = new Date()
      const { record } = await start.mutateAsync({
        id: fabricationId,
        styleId: planned.styleId,
        units: planned.units,
        purchase: { ...bought, pieces: planned.units },
        cookId: planned.cookId ?? planned.begins?.cookId ?? null,
        supplierId: lot.supplierId,
        lot: lot.code,
        lotId: lot.id,
        plannedId: planned.id,
        date: dayIn(kitchen.timeZone, now),
        startedAt: now.toISOString(),
      })
      navigate(`/bench/${record.id}`)
    } catch (error) {
      setFailure(error)
    } finally {
      setAsking(false)
    }
  }
  return { start: () => void begin(), isPending: isAsking, error: failure }
}
