import 'react-datepicker/dist/react-datepicker.css'
import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import DatePicker from 'react-datepicker'
import { useKitchen } from '../data/kitchen-context.ts'
import css from './day-field.module.css'

/** The kitchen's own form first; what is typed in another usual one is understood too. */
const FORMS = {
  metric: ['d MMM yyyy', 'dd.MM.yyyy', 'd.M.yyyy', 'yyyy-MM-dd'],
  imperial: ['MMM d, yyyy', 'MM/dd/yyyy', 'M/d/yyyy', 'yyyy-MM-dd'],
}
const MONDAY = 1
const SUNDAY = 0

/** The calendar day of a picked date, `2026-11-24`: noon of the device's day, so that no zone turns it. */
const dayOf = (date: Date): string =>
  [date.getFullYear(), date.getMonth() + 1, date.getDate()].map((part) => String(part).padStart(2, '0')).join('-')

interface DayFieldProps {
  label: string
  /** A calendar day, `2026-11-24`; null where nobody said one. */
  value: string | null
  onChange: (day: string | null) => void
  hint?: string
  error?: string | undefined
  /** The label is read aloud but not shown, as in a table whose column says it. */
  isLabelHidden?: boolean
}

/** A day as the kitchen writes it, typed or picked. */
export function DayField({ label, value, onChange, hint, error, isLabelHidden = false }: DayFieldProps) {
  const { units } = useKitchen()
  const id = useId()
  return (
    <Form.Group controlId={id} className={css.dayField}>
      <Form.Label visuallyHidden={isLabelHidden}>{label}</Form.Label>
      <DatePicker
        id={id}
        className={`form-control ${error ? 'is-invalid' : ''}`}
        selected={value === null || value === '' ? null : new Date(`${value}T12:00:00`)}
        onChange={(date: Date | null) => onChange(date ? dayOf(date) : null)}
        dateFormat={FORMS[units]}
        calendarStartDay={units === 'imperial' ? SUNDAY : MONDAY}
        autoComplete="off"
        showPopperArrow={false}
      />
      {(error ?? hint) ? <Form.Text className={error ? 'refusal' : ''}>{error ?? hint}</Form.Text> : null}
    </Form.Group>
  )
}
