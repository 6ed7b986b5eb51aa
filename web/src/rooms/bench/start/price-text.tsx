import { parsePriceText } from '@fleam/core'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import type { UseFormReturn } from 'react-hook-form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import type { StartFields } from './start-fields.ts'

/** The price as people type it, `1.89/lb` too; left empty, it is the price book's or is told later. */
export function PriceText({ form, hasLast }: { form: UseFormReturn<StartFields>; hasLast: boolean }) {
  const { currency } = useKitchen()
  const [text, setText] = useState(() => String(form.getValues('amount') ?? ''))
  const error = form.formState.errors.amount?.message
  const change = (next: string) => {
    setText(next)
    const read = parsePriceText(next)
    form.setValue('amount', next.trim() === '' ? null : read ? read.amount : (Number.NaN as never))
    if (read?.per) form.setValue('per', read.per)
  }
  const isWrong = text.trim() !== '' && parsePriceText(text) === null
  return (
    <Form.Group controlId="start-price">
      <Form.Label>Price, {currency}</Form.Label>
      <Form.Control
        value={text}
        inputMode="decimal"
        autoComplete="off"
        isInvalid={isWrong || error !== undefined}
        aria-describedby="start-price-hint"
        onChange={(event) => change(event.target.value)}
      />
      <Form.Text id="start-price-hint" className={isWrong || error ? 'refusal' : ''}>
        {isWrong
          ? 'This is not a price.'
          : (error ?? (hasLast && text !== '' ? 'as last time' : 'from the price book, or told later, if left empty'))}
      </Form.Text>
    </Form.Group>
  )
}
