import { parsePriceText } from '@fleam/core/units'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import type { UseFormReturn } from 'react-hook-form'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useFormat } from '../../../parts/use-format.ts'
import type { StartFields } from './start-fields.ts'

/** The price as people type it, `1.89/lb` too; left empty, it is the price book's or is told later. */
export function PriceText({ form, hasLast }: { form: UseFormReturn<StartFields>; hasLast: boolean }) {
  const { currency } = useKitchen()
  const format = useFormat()
  const [isTyped, setTyped] = useState(false)
  const [text, setText] = useState(() => String(form.getValues('amount') ?? ''))
  const error = form.formState.errors.amount?.message
  const change = (next: string) => {
    setText(next)
    setTyped(true)
    const read = parsePriceText(next)
    form.setValue('amount', next.trim() === '' ? null : read ? read.amount : (Number.NaN as never))
    if (read?.per) form.setValue('per', read.per)
  }
  const amount = parsePriceText(text)?.amount ?? null
  // What was understood stands there: 3.100 is three and a tenth, 1.234,50 twelve hundred.
  const understood = amount === null ? '' : `= ${format.money(amount)}${isTyped || !hasLast ? '' : ', as last time'}`
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
          : (error ?? (text.trim() === '' ? 'from the price book, or told later, if left empty' : understood))}
      </Form.Text>
    </Form.Group>
  )
}
