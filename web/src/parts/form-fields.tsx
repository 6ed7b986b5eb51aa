import type { WeightUnit } from '@fleam/core/units'
import type { ReactNode } from 'react'
import Form from 'react-bootstrap/Form'
import { type Control, Controller, type FieldPath, type FieldValues, useController } from 'react-hook-form'
import { DayField } from './day-field.tsx'
import css from './form-fields.module.css'
import { NumberField } from './number-field.tsx'
import { WeightField } from './weight-field.tsx'

interface FormFieldProps<T extends FieldValues> {
  control: Control<T>
  name: FieldPath<T>
  label: string
  hint?: string
}

/** What stands for text that is no value: the form refuses it, and the value before does not go on counting. */
const NOT_A_VALUE = 'not a value'

interface FormWeightProps<T extends FieldValues> extends FormFieldProps<T> {
  bareUnit?: WeightUnit
  onUnit?: (unit: WeightUnit | null) => void
  isLabelHidden?: boolean
}

/** A weight in a form: what is no weight is refused when the form is sent, whatever stood there before. */
export function FormWeight<T extends FieldValues>({ control, name, ...props }: FormWeightProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <WeightField
          {...props}
          grams={typeof field.value === 'number' ? field.value : null}
          error={fieldState.error?.message}
          onChange={(grams, isValid) => field.onChange(isValid ? grams : NOT_A_VALUE)}
        />
      )}
    />
  )
}

interface FormNumberProps<T extends FieldValues> extends FormFieldProps<T> {
  min?: number
  max?: number
  /** Where what is typed is not what is kept, as percent of a share: from the one to the other and back. */
  shown?: (kept: number) => number
  kept?: (shown: number) => number
}

const asItIs = (value: number) => value

/** A number in a form, refused as a weight is. */
export function FormNumber<T extends FieldValues>(given: FormNumberProps<T>) {
  const { control, name, shown = asItIs, kept = asItIs, ...props } = given
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          {...props}
          value={typeof field.value === 'number' ? shown(field.value) : null}
          error={fieldState.error?.message}
          onChange={(value, isValid) => field.onChange(isValid ? (value === null ? null : kept(value)) : NOT_A_VALUE)}
        />
      )}
    />
  )
}

interface FormTextProps<T extends FieldValues> extends FormFieldProps<T> {
  /** So many lines; one where nothing is said. */
  rows?: number
  maxLength?: number
  className?: string | undefined
}

/** Words in a form; what is wrong with them stands beside them. */
export function FormText<T extends FieldValues>({ control, name, label, hint, rows, ...props }: FormTextProps<T>) {
  const { field, fieldState } = useController({ control, name })
  const { maxLength = MAX_WORDS, className } = props
  return (
    <Form.Group controlId={`field-${name}`} className={className}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        {...field}
        value={field.value ?? ''}
        {...(rows === undefined ? {} : { as: 'textarea' as const, rows })}
        maxLength={maxLength}
        autoComplete="off"
        isInvalid={fieldState.error !== undefined}
        aria-describedby={`field-${name}-says`}
      />
      <Form.Text id={`field-${name}-says`} className={fieldState.error ? 'refusal' : ''}>
        {fieldState.error ? (field.value ? fieldState.error.message : 'Say it here.') : hint}
      </Form.Text>
    </Form.Group>
  )
}

const MAX_WORDS = 120

interface FormSelectProps<T extends FieldValues> extends FormFieldProps<T> {
  /** What can be chosen, and how each is called. */
  choices: Readonly<Record<string, string>>
  /** What else a choice changes. */
  onChoose?: (chosen: string) => void
}

/** One of a few, in a form. */
export function FormSelect<T extends FieldValues>({ control, name, label, choices, onChoose }: FormSelectProps<T>) {
  const { field } = useController({ control, name })
  return (
    <Form.Group controlId={`field-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        {...field}
        onChange={(event) => {
          field.onChange(event.target.value)
          onChoose?.(event.target.value)
        }}
      >
        {Object.entries(choices).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  )
}

/** A day in a form, typed or picked. */
export function FormDay<T extends FieldValues>({ control, name, ...props }: FormFieldProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <DayField
          {...props}
          value={field.value === '' ? null : field.value}
          error={fieldState.error?.message}
          onChange={(day) => field.onChange(day ?? '')}
        />
      )}
    />
  )
}

/** A part of a form that few need: folded until it is opened. */
export function MoreFields({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className={`wide ${css.moreFields}`}>
      <summary>{title}</summary>
      <div className="more-fields-body">{children}</div>
    </details>
  )
}
