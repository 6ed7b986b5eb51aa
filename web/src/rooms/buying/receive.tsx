import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useReceive } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { dayIn } from '../../parts/dates.ts'
import { Failed } from '../../parts/states.tsx'
import { BuyingRoom } from './buying-room.tsx'
import { emptyDraft, keepDraft, keptDraft, lotOf, missingOf } from './lot-draft.ts'
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
  const missing = missingOf(draft)
  const take = () =>
    receive.mutate(lotOf(draft), {
      onSuccess: (lot) => {
        keepDraft(null)
        navigate(`/buying/lots/${lot.id}`)
      },
    })
  return (
    <BuyingRoom title="A delivery at the door">
      <LotForm key={draft.id} draft={draft} onChange={change} />
      {receive.isError ? <Failed error={receive.error} /> : null}
      <div className="buying-actions">
        <Button disabled={missing !== null || receive.isPending} onClick={take}>
          Accept delivery
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
