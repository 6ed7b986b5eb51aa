import './guide.css'
import { CAUTIONS, type Caution, DEFERS_TO } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract'
import { DEFAULT_COLD_LIMITS } from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useCautionOverrides, useChangeCautions } from '../../data/style-queries.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'

/** Every caution with where it stands; the kitchen's own plan may say otherwise, with a reason. */
export function Component() {
  const overrides = useCautionOverrides()
  if (!overrides.data) return overrides.isError ? <Failed error={overrides.error} /> : <Loading what="the cautions" />
  return (
    <div className="room guide-cautions-page">
      <h1>Cautions</h1>
      <p>{DEFERS_TO} Where your kitchen’s approved plan says otherwise, write it here with the reason.</p>
      <ul>
        {CAUTIONS.map((caution) => (
          <CautionEntry
            key={caution.id}
            caution={caution}
            override={overrides.data.find((each) => each.cautionId === caution.id) ?? null}
          />
        ))}
      </ul>
    </div>
  )
}

const PLACE_WORDS = {
  step: 'at a step',
  board: 'beside the board',
  receiving: 'at receiving',
  cooking: 'in cooking notes',
  label: 'on labels',
} as const

interface CautionEntryProps {
  caution: Caution
  override: CautionOverride | null
}

function CautionEntry({ caution, override }: CautionEntryProps) {
  const [isEditing, setEditing] = useState(false)
  const { restore } = useChangeCautions()
  const { words } = useFormat()
  return (
    <li>
      <p className={override ? 'overridden' : ''}>{words(override?.text ?? caution.text)}</p>
      <p className="quiet">
        Stands {caution.places.map((place) => PLACE_WORDS[place]).join(', ')} ·{' '}
        {override ? 'our own plan' : caution.source}
        {override ? `: ${override.reason}` : ''}
      </p>
      {isEditing ? (
        <OverrideForm caution={caution} override={override} onDone={() => setEditing(false)} />
      ) : (
        <div className="guide-actions">
          <Button
            size="sm"
            variant="outline-dark"
            aria-label={`Our own words for ${caution.id}`}
            onClick={() => setEditing(true)}
          >
            Our plan says otherwise
          </Button>
          {override ? (
            <Button size="sm" variant="outline-dark" onClick={() => restore.mutate(caution.id)}>
              Back to the default
            </Button>
          ) : null}
        </div>
      )}
    </li>
  )
}

interface OverrideFormProps extends CautionEntryProps {
  onDone: () => void
}

function OverrideForm({ caution, override, onDone }: OverrideFormProps) {
  const { override: save } = useChangeCautions()
  const [text, setText] = useState(override?.text ?? caution.text)
  const [reason, setReason] = useState(override?.reason ?? '')
  const [boardMinutes, setBoardMinutes] = useState(override?.boardMinutes ?? null)
  const [outMinutes, setOutMinutes] = useState(override?.outMinutes ?? null)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate({ cautionId: caution.id, text, reason, boardMinutes, outMinutes }, { onSuccess: onDone })
  }
  return (
    <Form onSubmit={submit} className="override">
      <Form.Group controlId={`own-${caution.id}`}>
        <Form.Label>As our plan has it</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          maxLength={600}
          required
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </Form.Group>
      <Form.Group controlId={`why-${caution.id}`}>
        <Form.Label>Why</Form.Label>
        <Form.Control
          maxLength={600}
          required
          placeholder="approved plan, section and date"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </Form.Group>
      {caution.id === 'cold-chain' ? (
        <div className="fields">
          <NumberField
            label="Minutes on the board at a stretch"
            hint={`${DEFAULT_COLD_LIMITS.boardMinutes} unless you say otherwise`}
            min={1}
            value={boardMinutes}
            onChange={setBoardMinutes}
          />
          <NumberField
            label="Minutes out of the cold in all"
            hint={`${DEFAULT_COLD_LIMITS.outMinutes} unless you say otherwise`}
            min={1}
            value={outMinutes}
            onChange={setOutMinutes}
          />
        </div>
      ) : null}
      <div className="guide-actions">
        <Button type="submit" disabled={save.isPending}>
          Save
        </Button>
        <Button variant="outline-dark" onClick={onDone}>
          Cancel
        </Button>
      </div>
      {save.isError ? <Failed error={save.error} /> : null}
    </Form>
  )
}
