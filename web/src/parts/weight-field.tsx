import { parseWeight, unitWritten, type WeightUnit } from '@fleam/core/units'
import { useEffect, useId, useRef } from 'react'
import Form from 'react-bootstrap/Form'
import { useKitchen } from '../data/kitchen-context.ts'
import { useFormat } from './use-format.ts'
import { useTypedText } from './use-typed-text.ts'
import { weightRefusal } from './weight-words.ts'

/** The unit that a bare number is in: grams, or pounds where the kitchen works in them. */
export const bareUnitOf = (units: 'metric' | 'imperial'): WeightUnit => (units === 'metric' ? 'g' : 'lb')

interface WeightFieldProps {
  label: string
  hint?: string
  grams: number | null
  /** `isValid` is false while what is typed is no weight. */
  onChange: (grams: number | null, isValid: boolean) => void
  /** The unit of a bare number; the kitchen's where it is not said. */
  bareUnit?: WeightUnit
  /** Told the unit that is typed, so that the field beside it can take the same. */
  onUnit?: (unit: WeightUnit | null) => void
  isRequired?: boolean
  /** Why what stands here cannot be taken, said by the form. */
  error?: string | undefined
  /** The label is read aloud but not shown, as in a table whose column says it. */
  isLabelHidden?: boolean
}

/** A weight as people type it; tells at once what was understood, and refuses what is not a weight. */
export function WeightField({
  label,
  hint,
  grams,
  onChange,
  bareUnit: given,
  onUnit,
  isRequired = false,
  error,
  isLabelHidden = false,
}: WeightFieldProps) {
  const { units } = useKitchen()
  const format = useFormat()
  const { text, type } = useTypedText(grams, format.weight)
  const id = useId()
  const bareUnit = given ?? bareUnitOf(units)
  const result = parseWeight(text, bareUnit)
  const isEmptyFine = text.trim() === '' && !isRequired
  const refusal = (text.trim() !== '' && !result.ok ? weightRefusal(result.code, units) : null) ?? error ?? null
  // A bare number is in another unit as soon as the field beside it names one.
  const reparse = useRef(() => {})
  reparse.current = () => {
    if (text.trim() !== '' && unitWritten(text) === null) change(text)
  }
  const lastUnit = useRef(bareUnit)
  useEffect(() => {
    if (lastUnit.current !== bareUnit) reparse.current()
    lastUnit.current = bareUnit
  }, [bareUnit])
  const change = (next: string) => {
    const parsed = parseWeight(next, bareUnit)
    type(next, parsed.ok ? parsed.grams : null)
    onChange(parsed.ok ? parsed.grams : null, parsed.ok || next.trim() === '')
    onUnit?.(unitWritten(next))
  }
  // What stands there already is not said again.
  const isPlain = result.ok && format.weight(result.grams) === text.trim()
  const understood = result.ok && !isEmptyFine && !isPlain ? `= ${format.weight(result.grams)}` : hint
  return (
    <Form.Group controlId={id}>
      <Form.Label visuallyHidden={isLabelHidden}>{label}</Form.Label>
      <Form.Control
        value={text}
        inputMode="text"
        autoComplete="off"
        isInvalid={refusal !== null}
        required={isRequired}
        aria-describedby={`${id}-hint`}
        onChange={(event) => change(event.target.value)}
      />
      <Form.Text id={`${id}-hint`} className={refusal ? 'refusal' : ''}>
        {refusal ?? understood}
      </Form.Text>
    </Form.Group>
  )
}
