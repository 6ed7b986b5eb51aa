import { lengthUnitOf, parseLength } from '@fleam/core/units'
import { useId, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../data/kitchen-context.ts'
import { useFormat } from './use-format.ts'

interface LengthFieldProps {
  label: string
  hint?: string
  /** Millimetres. */
  mm: number | null
  /** `isValid` is false while what is typed is no length that may stand there. */
  onChange: (mm: number | null, isValid: boolean) => void
  /** Millimetres, the least and the most that may stand there. */
  min?: number
  max?: number
  isLabelHidden?: boolean
  /** The unit is said already, as in the place of a tape. */
  isUnitSaid?: boolean
}

/** A length as people type it, bare in millimetres or, where pounds are weighed, in inches (`1 3/8`). */
export function LengthField({
  label,
  hint,
  mm,
  onChange,
  min = 0,
  max,
  isLabelHidden = false,
  isUnitSaid = false,
}: LengthFieldProps) {
  const { units } = useKitchen()
  const format = useFormat()
  const [text, setText] = useState(() => (mm === null ? '' : format.lengthAmount(mm)))
  const id = useId()
  const unit = lengthUnitOf(units)
  const refusalOf = (typed: string): string | null => {
    if (typed.trim() === '') return null
    const length = parseLength(typed, unit)
    if (length === null) return `This is not a length. Type ${unit === 'mm' ? '35 or 3.5 cm' : '1 3/8 or 35 mm'}.`
    if (length < min) return `At least ${format.length(min)}.`
    return max !== undefined && length > max ? `At most ${format.length(max)}.` : null
  }
  const refusal = refusalOf(text)
  const change = (next: string) => {
    setText(next)
    const isValid = refusalOf(next) === null
    onChange(isValid && next.trim() !== '' ? parseLength(next, unit) : null, isValid)
  }
  return (
    <Form.Group controlId={id}>
      <Form.Label visuallyHidden={isLabelHidden}>
        {isLabelHidden || isUnitSaid ? label : `${label}, ${unit}`}
      </Form.Label>
      <Form.Control
        value={text}
        inputMode={unit === 'mm' ? 'decimal' : 'text'}
        autoComplete="off"
        isInvalid={refusal !== null}
        aria-describedby={`${id}-hint`}
        onChange={(event) => change(event.target.value)}
      />
      {(refusal ?? hint) ? (
        <Form.Text id={`${id}-hint`} className={refusal ? 'refusal' : ''}>
          {refusal ?? hint}
        </Form.Text>
      ) : null}
    </Form.Group>
  )
}
