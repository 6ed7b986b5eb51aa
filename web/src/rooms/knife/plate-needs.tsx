import type { PlatingRequest } from '@fleam/core/plating'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'
import css from './plate-needs.module.css'

interface PlateNeedsProps {
  request: PlatingRequest
  onChange: (needs: PlatingRequest['plate']['needs']) => void
}

/** Kinds and counts of one plate. */
export function PlateNeeds({ request, onChange }: PlateNeedsProps) {
  const { needs } = request.plate
  const set = (at: number, changes: Partial<(typeof needs)[number]>) =>
    onChange(needs.map((need, index) => (index === at ? { ...need, ...changes } : need)))
  return (
    <fieldset className="plate-needs">
      <legend>One plate takes</legend>
      {needs.map((need, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: needs are told by their place while their kind is typed
        <div key={index} className={css.plateNeed}>
          <NumberField
            label={`Count ${index + 1}`}
            isLabelHidden
            value={need.count}
            min={1}
            max={12}
            onChange={(count) => count && Number.isInteger(count) && set(index, { count })}
          />
          <Form.Control
            aria-label={`Kind ${index + 1}`}
            value={need.kind}
            maxLength={120}
            onChange={(event) => event.target.value.trim() && set(index, { kind: event.target.value })}
          />
          {needs.length > 1 ? (
            <Button
              size="sm"
              variant="outline-dark"
              onClick={() => onChange(needs.filter((_, need) => need !== index))}
            >
              Leave out
            </Button>
          ) : null}
        </div>
      ))}
      <Button
        size="sm"
        variant="outline-dark"
        onClick={() => onChange([...needs, { kind: `kind ${needs.length + 1}`, count: 1 }])}
      >
        And another kind
      </Button>
      <p className="quiet">“any” takes pieces of every kind.</p>
    </fieldset>
  )
}
