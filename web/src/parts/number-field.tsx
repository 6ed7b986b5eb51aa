import { formatNumber, parseNumber, typedNumber } from '@fleam/core/units'
import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import { useDecimalMark } from '../data/kitchen-context.ts'
import { useTypedText } from './use-typed-text.ts'

interface NumberFieldProps {
  label: string
  value: number | null
  /** `isValid` is false while what is typed is no number that may stand there. */
  onChange: (value: number | null, isValid: boolean) => void
  hint?: string
  min?: number
  max?: number
  isRequired?: boolean
  /** Why what stands here cannot be taken, said by the form. */
  error?: string | undefined
  /** The label is read aloud but not shown, as in a table whose column says it. */
  isLabelHidden?: boolean
}

/** A number as people type it, decimal point or comma; refuses what is not one. */
export function NumberField({
  label,
  value,
  onChange,
  hint,
  min = 0,
  max,
  isRequired = false,
  error,
  isLabelHidden = false,
}: NumberFieldProps) {
  const mark = useDecimalMark()
  const { text, type } = useTypedText(value, (number) => typedNumber(number, mark))
  const id = useId()
  const refusal = refusalOf(text, min, max) ?? error ?? null
  // A thousands mark or a decimal of three digits can be read in two ways: what was understood is said.
  const read = refusal === null && text.trim() !== '' ? parseNumber(text) : null
  const understood = read !== null && HAS_THREE.test(text) ? `= ${formatNumber(read, decimalsOf(read), mark)}` : null
  const change = (next: string) => {
    const isValid = refusalOf(next, min, max) === null
    const value = isValid && next.trim() !== '' ? parseNumber(next) : null
    type(next, value)
    onChange(value, isValid)
  }
  return (
    <Form.Group controlId={id}>
      <Form.Label visuallyHidden={isLabelHidden}>{label}</Form.Label>
      <Form.Control
        value={text}
        inputMode="decimal"
        autoComplete="off"
        required={isRequired}
        isInvalid={refusal !== null}
        aria-describedby={`${id}-hint`}
        onChange={(event) => change(event.target.value)}
      />
      {(refusal ?? understood ?? hint) ? (
        <Form.Text id={`${id}-hint`} className={refusal ? 'refusal' : ''}>
          {refusal ?? understood ?? hint}
        </Form.Text>
      ) : null}
    </Form.Group>
  )
}

const HAS_THREE = /\d[.,]\d{3}(?!\d)/
/** As many decimals as a price may have, and no more than there are. */
const decimalsOf = (value: number) => Math.min(4, (String(value).split('.')[1] ?? '').length)

function refusalOf(text: string, min: number, max: number | undefined): string | null {
  if (text.trim() === '') return null
  const value = parseNumber(text)
  if (value === null) return 'This is not a number.'
  if (value < min) return `At least ${min}.`
  return max !== undefined && value > max ? `At most ${max}.` : null
}
