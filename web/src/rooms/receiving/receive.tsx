import { hasSafetyFault } from '@fleam/catalogue'
import { dayIn } from '@fleam/core/calendar'
import type { ExpectedLine } from '@fleam/core/plans'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useWatch } from 'react-hook-form'
import { useNavigate, useSearchParams } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useReceive } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useExpected } from '../../data/planning-queries.ts'
import { useCooks } from '../../data/queries.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { FormText } from '../../parts/form-fields.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { draftOfLine, emptyDraft, keepDraft, keptDraft, type LotDraft, lotOf } from './lot-draft.ts'
import { LotForm } from './lot-form.tsx'
import css from './receive.module.css'
import { type LotFormState, useLotForm } from './use-lot-form.ts'

/** A delivery at the door: labels, weights and checks before the driver leaves. One that was ordered is filled in. */
export function Component() {
  const [search] = useSearchParams()
  const lineId = search.get('expected')
  const expected = useExpected()
  if (lineId === null) return <Receive line={null} />
  if (expected.isError && !expected.data) {
    return <Failed error={expected.error} retry={() => void expected.refetch()} />
  }
  if (!expected.data) return <Loading what="the order" />
  return <Receive key={lineId} line={expected.data.find(({ id }) => id === lineId) ?? null} />
}

function Receive({ line }: { line: ExpectedLine | null }) {
  const { timeZone, units } = useKitchen()
  const navigate = useNavigate()
  const receive = useReceive()
  const fresh = () => {
    const draft = emptyDraft(newId(), dayIn(timeZone, new Date()), units === 'metric' ? 'kg' : 'lb')
    return line ? draftOfLine(draft, line) : draft
  }
  const kept = keptDraft()
  // What was begun of another delivery does not belong to this one.
  const form = useLotForm(kept && kept.expectedLineId === (line?.id ?? null) ? kept : fresh(), keepDraft)
  const checks = useWatch({ control: form.control, name: 'checks' })
  const hasFault = checks.some((check) => check.isFault)
  const isUnsafe = hasSafetyFault(checks)
  const isWhole = form.formState.isValid || !form.formState.isSubmitted
  const send = (standing: LotDraft['standing']) =>
    void form.handleSubmit((draft) => {
      const isAsked = standing !== 'accepted' || isUnsafe
      const reason = isAsked ? (draft.standingReason?.trim() ?? '') : null
      if (reason === '') return form.setError('standingReason', { message: 'Say why.' })
      const standingById = isAsked ? draft.standingById : null
      if (standing === 'accepted' && isUnsafe && standingById === null) {
        return form.setError('standingById', { message: 'Who accepts it?' })
      }
      receive.mutate(lotOf({ ...draft, standing, standingReason: reason, standingById }), {
        onSuccess: (lot) => {
          keepDraft(null)
          navigate(`/buying/lots/${lot.id}`)
        },
      })
    })()
  return (
    <BuyingRoom title="A delivery at the door">
      {line ? (
        <p>
          Ordered: {line.packs} × {line.name} from {line.supplier}, {line.units} pieces.
        </p>
      ) : null}
      <LotForm form={form} articleId={line?.articleId ?? null} />
      {receive.isError ? <Failed error={receive.error} /> : null}
      {hasFault ? <AtTheDoor form={form} isPending={receive.isPending} onSend={send} /> : null}
      <div className="form-actions">
        <Button
          variant={hasFault ? 'outline-dark' : 'primary'}
          disabled={receive.isPending}
          onClick={() => send('accepted')}
        >
          {isUnsafe ? 'Accept with this reason' : hasFault ? 'Accept it all the same' : 'Accept delivery'}
        </Button>
        <Button variant="outline-dark" onClick={() => form.reset(fresh())}>
          Begin again
        </Button>
        {isWhole ? (
          <span className="quiet">What you enter is kept on this device until the delivery is accepted.</span>
        ) : (
          <span className="refusal" role="alert">
            Check the highlighted fields.
          </span>
        )}
      </div>
    </BuyingRoom>
  )
}

/** The cook who decides what becomes of it. */
function WhoSaysSo({ form: { register, formState } }: { form: LotFormState }) {
  const cooks = useCooks()
  const error = formState.errors.standingById?.message
  return (
    <Form.Group controlId="standing-by">
      <Form.Label>Who decides</Form.Label>
      <Form.Select
        isInvalid={error !== undefined}
        {...register('standingById', { setValueAs: (value: string | null) => value || null })}
      >
        <option value="">nobody yet</option>
        {(cooks.data ?? []).map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
      <Form.Text className="refusal">{error}</Form.Text>
    </Form.Group>
  )
}

interface AtTheDoorProps {
  form: LotFormState
  isPending: boolean
  onSend: (standing: LotDraft['standing']) => void
}

/** Something is wrong with it: refusing comes first, then quarantine. */
const AtTheDoor = ({ form, isPending, onSend }: AtTheDoorProps) => (
  <section className={css.atTheDoor} aria-label="Something is wrong with it">
    <FormText
      control={form.control}
      name="standingReason"
      label="Something is wrong: why it is refused, set apart, or accepted"
      maxLength={600}
    />
    <WhoSaysSo form={form} />
    <div className="form-actions">
      <Button disabled={isPending} onClick={() => onSend('refused')}>
        Refuse it
      </Button>
      <Button variant="outline-dark" disabled={isPending} onClick={() => onSend('quarantined')}>
        Quarantine it
      </Button>
    </div>
  </section>
)
