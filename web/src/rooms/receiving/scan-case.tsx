import { dayIn } from '@fleam/core/calendar'
import type { FormEvent, KeyboardEvent } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { v7 as newId } from 'uuid'
import { useKitchen } from '../../data/kitchen-context.ts'
import { scanned, withoutEmpty } from './lot-draft.ts'
import type { LotFormState } from './use-lot-form.ts'

/** What a scanner sends between the parts of a label. */
const SEPARATOR = '\u001d'

interface ScanCaseProps {
  form: LotFormState
  onAdd: () => void
}

/** Reads a case label; what cannot be read stays to be looked at. */
export function ScanCase({ form, onAdd }: ScanCaseProps) {
  const { timeZone } = useKitchen()
  const { register, handleSubmit, setError, setValue, getValues, reset, formState } = useForm({
    defaultValues: { label: '' },
  })
  const refusal = formState.errors.label?.message
  const read = handleSubmit(({ label }) => {
    const result = scanned(withoutEmpty(form.getValues()), label, dayIn(timeZone, new Date()), newId())
    if (!result.ok) return setError('label', { message: result.words })
    reset()
    form.reset(result.draft, { keepDefaultValues: true, keepErrors: true })
  })
  return (
    <>
      {/* Its own form inside that of the delivery: a scanner ends with Enter, and that accepts no delivery. */}
      <Form onSubmit={(event: FormEvent) => void read(event)} className="form-actions">
        <Form.Control
          {...register('label')}
          aria-label="Scan the case label"
          placeholder="scan the case label, or type it with its brackets"
          maxLength={400}
          autoComplete="off"
          isInvalid={refusal !== undefined}
          onKeyDown={(event: KeyboardEvent) => {
            // A text field would swallow the separator.
            if (event.key !== ']' || !event.ctrlKey) return
            event.preventDefault()
            setValue('label', `${getValues('label')}${SEPARATOR}`)
          }}
        />
        <Button type="submit" variant="outline-dark">
          Read
        </Button>
        <Button variant="outline-dark" onClick={onAdd}>
          Add without a label
        </Button>
      </Form>
      {refusal ? (
        <p className="refusal" role="alert">
          {refusal}
        </p>
      ) : null}
    </>
  )
}
