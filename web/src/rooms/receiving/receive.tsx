import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useReceive } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { dayIn } from '../../parts/dates.ts'
import { Failed } from '../../parts/states.tsx'
import { emptyDraft, keepDraft, keptDraft, type LotDraft, lotOf, missingOf } from './lot-draft.ts'
import { LotForm } from './lot-form.tsx'

/** A delivery at the door: labels, weights and checks before the driver leaves. */
export function Component() {
  const { timeZone, units } = useKitchen()
  const navigate = useNavigate()
  const receive = useReceive()
  const fresh = () => emptyDraft(newId(), dayIn(timeZone, new Date()), units === 'metric' ? 'kg' : 'lb')
  const [draft, setDraft] = useState(() => keptDraft() ?? fresh())
  const change = (next: typeof draft) => {
    keepDraft(next)
    setDraft(next)
  }
  const [reason, setReason] = useState('')
  const missing = missingOf(draft)
  const send = (standing: LotDraft['standing']) =>
    receive.mutate(lotOf({ ...draft, standing, standingReason: standing === 'accepted' ? null : reason.trim() }), {
      onSuccess: (lot) => {
        keepDraft(null)
        navigate(`/buying/lots/${lot.id}`)
      },
    })
  const hasFault = draft.checks.some((check) => check.isFault)
  return (
    <BuyingRoom title="A delivery at the door">
      <LotForm key={draft.id} draft={draft} onChange={change} />
      {receive.isError ? <Failed error={receive.error} /> : null}
      {hasFault ? (
        <AtTheDoor
          reason={reason}
          onReason={setReason}
          isWhole={missing === null && !receive.isPending}
          onSend={send}
        />
      ) : null}
      <div className="form-actions">
        <Button
          variant={hasFault ? 'outline-dark' : 'primary'}
          disabled={missing !== null || receive.isPending}
          onClick={() => send('accepted')}
        >
          {hasFault ? 'Accept it all the same' : 'Accept delivery'}
        </Button>
        <Button variant="outline-dark" onClick={() => change(fresh())}>
          Begin again
        </Button>
        <span className="quiet">
          {missing ?? 'What you enter is kept on this device until the delivery is accepted.'}
        </span>
      </div>
    </BuyingRoom>
  )
}

interface AtTheDoorProps {
  reason: string
  onReason: (reason: string) => void
  isWhole: boolean
  onSend: (standing: LotDraft['standing']) => void
}

/** Something is wrong with it: refusing comes first, then quarantine. */
function AtTheDoor({ reason, onReason, isWhole, onSend }: AtTheDoorProps) {
  const isSaid = reason.trim() !== '' && isWhole
  return (
    <section className="at-the-door" aria-label="Something is wrong with it">
      <Form.Group controlId="door-reason">
        <Form.Label>Something is wrong: why it is refused, or set apart</Form.Label>
        <Form.Control value={reason} maxLength={600} onChange={(event) => onReason(event.target.value)} />
      </Form.Group>
      <div className="form-actions">
        <Button disabled={!isSaid} onClick={() => onSend('refused')}>
          Refuse it
        </Button>
        <Button variant="outline-dark" disabled={!isSaid} onClick={() => onSend('quarantined')}>
          Quarantine it
        </Button>
      </div>
    </section>
  )
}
