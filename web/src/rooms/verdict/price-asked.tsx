import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { PriceUnit } from '@fleam/core/fabrication'
import { parsePriceText } from '@fleam/core/units'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useUpdateFabrication } from '../../data/queries.ts'
import { PriceUnitOptions } from '../../parts/price-units.tsx'
import { Failed } from '../../parts/states.tsx'
import css from './price-asked.module.css'
import sentenceCss from './sentence.module.css'

/** A record whose price nobody knew: its yields stand, and the price is asked for here. */
export function PriceAsked({ record }: { record: FabricationRecord }) {
  const kitchen = useKitchen()
  const change = useUpdateFabrication(record.id)
  const form = useForm<{ text: string; per: PriceUnit }>({
    defaultValues: { text: '', per: kitchen.units === 'metric' ? 'kg' : 'lb' },
  })
  const refusal = form.formState.errors.text?.message
  const save = form.handleSubmit(({ text, per }) => {
    const read = parsePriceText(text)
    if (!read) return
    const price = { amount: read.amount, per: read.per ?? per }
    change.mutate(editOf(record, { purchase: { ...record.purchase, price }, priceFrom: 'typed' }))
  })
  return (
    <section className={css.priceAsked} aria-labelledby="price-asked">
      <h1 id="price-asked" className={sentenceCss.sentence}>
        No portion cost yet: nobody has said what it cost.
      </h1>
      <Form onSubmit={(event) => void save(event)} className="actions" noValidate>
        <Form.Group controlId="asked-price">
          <Form.Label>Price, {record.currency}</Form.Label>
          <Form.Control
            inputMode="decimal"
            autoComplete="off"
            isInvalid={refusal !== undefined}
            {...form.register('text', { validate: (text) => parsePriceText(text) !== null || 'This is not a price.' })}
          />
          {refusal ? <Form.Text className="refusal">{refusal}</Form.Text> : null}
        </Form.Group>
        <Form.Group controlId="asked-per">
          <Form.Label>per</Form.Label>
          <Form.Select {...form.register('per')}>
            <PriceUnitOptions />
          </Form.Select>
        </Form.Group>
        <Button type="submit" className="main-action" disabled={change.isPending}>
          Save to record
        </Button>
      </Form>
      {change.isError ? <Failed error={change.error} /> : null}
    </section>
  )
}
