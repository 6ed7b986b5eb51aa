import { dayIn } from '@fleam/core/calendar'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type Control, Controller, useForm } from 'react-hook-form'
import { type PriceRequest, useCreatePrice } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { FormDay, FormNumber, FormWeight } from '../../parts/form-fields.tsx'
import { PriceUnitOptions } from '../../parts/price-units.tsx'
import { Failed } from '../../parts/states.tsx'
import { SupplierField } from '../../parts/supplier-field.tsx'
import { ArticleChoice } from './article-choice.tsx'
import { type PriceFields, type PriceFilled, priceFields } from './price-fields.ts'

interface PriceFormProps {
  /** The article whose price changes; everything else stands as it was. */
  from?: PriceRequest
  onDone: () => void
}

/** One price by hand: it is added to the history, what was there stays. */
export function PriceForm({ from, onDone }: PriceFormProps) {
  const { timeZone, units } = useKitchen()
  const add = useCreatePrice()
  const form = useForm<PriceFields, unknown, PriceFilled>({
    // What is missing while it is typed is there once the schema has let it pass.
    resolver: zodResolver(priceFields) as never,
    defaultValues: from
      ? { ...from, amount: from.price.amount, per: from.price.per }
      : { ...NOTHING, per: units === 'metric' ? 'kg' : 'lb', from: dayIn(timeZone, new Date()) },
  })
  const keep = form.handleSubmit(({ amount, per, ...fields }) =>
    add.mutate(
      { ...UNSAID, ...from, ...fields, code: fields.code.trim() || fields.name, price: { amount, per } },
      { onSuccess: onDone },
    ),
  )
  return (
    <Form onSubmit={(event) => void keep(event)} className="form-grid" aria-label="A price" noValidate>
      {from ? null : (
        <>
          <Controller
            control={form.control}
            name="supplier"
            render={({ field, fieldState }) => (
              <SupplierField
                label="Supplier"
                value={field.value}
                onChange={field.onChange}
                error={fieldState.error?.message}
              />
            )}
          />
          <ArticleChoice form={form} />
        </>
      )}
      <PriceFieldsOf
        control={form.control}
        kind={form.watch('kind')}
        per={form.watch('per')}
        amount={form.watch('amount')}
      />
      <FormDay control={form.control} name="from" label="From" />
      <div className="actions wide">
        <Button type="submit" disabled={add.isPending}>
          Save this price
        </Button>
      </div>
      {add.isError ? (
        <div className="wide">
          <Failed error={add.error} />
        </div>
      ) : null}
    </Form>
  )
}

const NOTHING = {
  supplier: '',
  code: '',
  name: '',
  kind: 'whole',
  itemId: null,
  productId: null,
  amount: null,
  pieceWeight: null,
  packPieces: null,
  usableShare: null,
  handlingMinutesPerPiece: null,
} as const

/** What a price has that this form does not ask for. */
const UNSAID = { packWeight: null, delivery: null, minimumOrder: null, until: null } as const

interface PriceFieldsOfProps {
  control: Control<PriceFields>
  kind: PriceFields['kind']
  per: PriceFields['per']
  amount: number | null
}

/** The price itself, and what it is for. */
function PriceFieldsOf({ control, kind, per, amount }: PriceFieldsOfProps) {
  const { currency } = useKitchen()
  return (
    <>
      <FormNumber
        control={control}
        name="amount"
        label={`Price, ${currency}`}
        {...(amount === 0 ? { hint: 'A price of 0.00: is it free?' } : {})}
      />
      <Form.Group controlId="price-per">
        <Form.Label>For</Form.Label>
        <Form.Select {...control.register('per')}>
          <PriceUnitOptions />
        </Form.Select>
      </Form.Group>
      <FormWeight control={control} name="pieceWeight" label="One piece weighs" hint="as usual for the item" />
      {per === 'case' || per === 'lot' ? (
        <FormNumber control={control} name="packPieces" label="Pieces in it" min={1} />
      ) : null}
      {kind === 'ready' ? (
        <>
          <FormNumber control={control} name="usableShare" label="Usable share, 0 to 1" max={1} hint="all of it" />
          <FormNumber control={control} name="handlingMinutesPerPiece" label="Minutes to unpack a piece" hint="none" />
        </>
      ) : null}
    </>
  )
}
