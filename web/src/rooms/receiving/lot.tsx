import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { LotTrace } from '@fleam/contract/receiving/schemas'
import { dayIn } from '@fleam/core/calendar'
import { isSentBack } from '@fleam/core/receiving'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router-dom'
import { useLot, useUpdateLot } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { draftOf, lotOf } from './lot-draft.ts'
import { LotFacts } from './lot-facts.tsx'
import { LotForm } from './lot-form.tsx'
import { LotFound } from './lot-found.tsx'
import { LotMade } from './lot-made.tsx'
import { useLotForm } from './use-lot-form.ts'

/** One lot: what came, what was found, where it went. */
export function Component() {
  const { lotId = '' } = useParams()
  const lot = useLot(lotId)
  if (lot.data) return <LotPage key={`${lotId} ${lot.data.lot.version}`} trace={lot.data} />
  return (
    <BuyingRoom title="A lot">
      {lot.isError ? <Failed error={lot.error} retry={() => void lot.refetch()} /> : <Loading what="the lot" />}
    </BuyingRoom>
  )
}

function LotPage({ trace }: { trace: LotTrace }) {
  const { lot } = trace
  const { change, actions } = useLotActions(trace)
  const [isChanging, setChanging] = useState(false)
  return (
    <BuyingRoom
      title={`${lot.item}, lot ${lot.code ?? 'without a number'}`}
      actions={
        <>
          {actions}
          <Button variant="outline-dark" onClick={() => setChanging(!isChanging)}>
            {isChanging ? 'Cancel' : 'Change'}
          </Button>
        </>
      }
    >
      {change.isError ? <Failed error={change.error} /> : null}
      {isChanging ? (
        <ChangeLot lot={lot} isPending={change.isPending} onSave={change.mutate} />
      ) : (
        <div className="two-columns">
          <LotFacts trace={trace} />
          <LotFound trace={trace} change={change} />
        </div>
      )}
      <LotMade trace={trace} />
    </BuyingRoom>
  )
}

/** What is done with a lot by one touch. */
function useLotActions({ lot }: LotTrace) {
  const { timeZone } = useKitchen()
  const change = useUpdateLot()
  const today = dayIn(timeZone, new Date())
  const actions = (
    <>
      {isSentBack(lot.standing) ? null : (
        <Link className="btn btn-primary" to={`/bench?lot=${lot.id}`}>
          Cut from it
        </Link>
      )}
      {lot.openedOn === null && !isSentBack(lot.standing) ? (
        <Button
          variant="outline-dark"
          disabled={change.isPending}
          onClick={() => change.mutate({ ...lotEditOf(lot), openedOn: today })}
        >
          It is opened
        </Button>
      ) : null}
      {isSentBack(lot.standing) ? null : (
        <Button
          variant="outline-dark"
          disabled={change.isPending}
          onClick={() => change.mutate({ ...lotEditOf(lot), isFinished: !lot.isFinished })}
        >
          {lot.isFinished ? 'Still some left' : 'It is finished'}
        </Button>
      )}
    </>
  )
  return { change, actions }
}

interface ChangeLotProps {
  lot: LotTrace['lot']
  isPending: boolean
  onSave: (lot: ReturnType<typeof lotOf>) => void
}

function ChangeLot({ lot, isPending, onSave }: ChangeLotProps) {
  const form = useLotForm(draftOf(lot))
  return (
    <>
      <LotForm form={form} />
      <div className="form-actions">
        <Button disabled={isPending} onClick={() => void form.handleSubmit((draft) => onSave(lotOf(draft)))()}>
          Save the changes
        </Button>
      </div>
    </>
  )
}
