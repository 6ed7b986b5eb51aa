import type { WeightUnit } from '@fleam/core'
import type { ReactNode } from 'react'
import { type Control, Controller, type FieldPath, type FieldValues } from 'react-hook-form'
import { DayField } from './day-field.tsx'
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
}

/** A number in a form, refused as a weight is. */
export function FormNumber<T extends FieldValues>({ control, name, ...props }: FormNumberProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          {...props}
          value={typeof field.value === 'number' ? field.value : null}
          error={fieldState.error?.message}
          onChange={(value, isValid) => field.onChange(isValid ? value : NOT_A_VALUE)}
        />
      )}
    />
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
    <details className="wide more-fields">
      <summary>{title}</summary>
      <div className="more-fields-body">{children}</div>
    </details>
  )
}
