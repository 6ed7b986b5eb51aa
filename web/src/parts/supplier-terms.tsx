import type { Supplier } from '@fleam/contract/buying/schemas'
import { zodResolver } from '@hookform/resolvers/zod'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { useMergeSuppliers, useSuppliers, useUpdateSupplier } from '../data/buying-queries.ts'
import { useKitchen } from '../data/kitchen-context.ts'
import { WEEKDAYS } from './dates.ts'
import { FormNumber } from './form-fields.tsx'
import { Failed } from './states.tsx'
import css from './supplier-terms.module.css'

/** What each supplier asks for a delivery, and its least order: they hold wherever a price says nothing else. */
export function SupplierTerms() {
  const suppliers = useSuppliers()
  if (!suppliers.data || suppliers.data.length === 0) return null
  return (
    <section aria-labelledby="supplier-terms">
      <h2 id="supplier-terms">Suppliers</h2>
      {suppliers.data.map((supplier) => (
        <TermsRow
          key={`${supplier.id} ${supplier.name} ${supplier.delivery} ${supplier.minimumOrder} ${supplier.address} ${supplier.deliveryDays}`}
          supplier={supplier}
          others={suppliers.data.filter((row) => row.id !== supplier.id)}
        />
      ))}
    </section>
  )
}

interface TermsRowProps {
  supplier: Supplier
  others: readonly Supplier[]
}

const terms = z.object({
  name: z.string().trim().min(1, 'A supplier needs a name.').max(120, 'At most 120 letters.'),
  delivery: z.number({ error: 'Check this number.' }).nullable(),
  minimumOrder: z.number({ error: 'Check this number.' }).nullable(),
  address: z.string().max(600, 'At most 600 letters.'),
  deliveryDays: z.array(z.number()).nullable(),
})

function TermsRow({ supplier, others }: TermsRowProps) {
  const { currency } = useKitchen()
  const put = useUpdateSupplier()
  const form = useForm<z.infer<typeof terms>>({
    resolver: zodResolver(terms),
    defaultValues: { ...supplier, address: supplier.address ?? '', deliveryDays: supplier.deliveryDays ?? null },
  })
  const { errors, isDirty } = form.formState
  const save = form.handleSubmit(({ name, delivery, minimumOrder, address, deliveryDays }) =>
    put.mutate({
      ...supplier,
      name,
      delivery: delivery ?? 0,
      minimumOrder,
      deliveryDays,
      address: address.trim() || null,
    }),
  )
  return (
    <form className={css.supplierTerms} onSubmit={(event) => void save(event)} noValidate>
      <Form.Group controlId={`supplier-${supplier.id}`}>
        <Form.Label>Name</Form.Label>
        <Form.Control isInvalid={errors.name !== undefined} {...form.register('name')} />
        <Form.Text className="refusal">{errors.name?.message}</Form.Text>
      </Form.Group>
      <FormNumber control={form.control} name="delivery" label={`Delivery charge, ${currency}`} />
      <FormNumber control={form.control} name="minimumOrder" label={`Minimum order, ${currency}, if any`} />
      <Form.Group controlId={`address-${supplier.id}`}>
        <Form.Label>Address, for claims</Form.Label>
        <Form.Control as="textarea" rows={1} {...form.register('address')} />
        <Form.Text className="refusal">{errors.address?.message}</Form.Text>
      </Form.Group>
      <DeliveryDays
        supplier={supplier}
        days={form.watch('deliveryDays')}
        onChange={(days) => form.setValue('deliveryDays', days, { shouldDirty: true })}
      />
      {others.length > 0 ? <MergeChoice supplier={supplier} others={others} /> : null}
      <Button
        type="submit"
        variant="outline-dark"
        disabled={!isDirty || put.isPending}
        aria-label={`Save the terms of ${supplier.name}`}
      >
        Save
      </Button>
      {put.isError ? <Failed error={put.error} /> : null}
    </form>
  )
}

interface DeliveryDaysProps {
  supplier: Supplier
  days: readonly number[] | null
  onChange: (days: number[] | null) => void
}

/** On which days of the week it comes; none chosen says that nobody has told. */
function DeliveryDays({ supplier, days, onChange }: DeliveryDaysProps) {
  const turn = (day: number) => {
    const next = days?.includes(day) ? days.filter((other) => other !== day) : [...(days ?? []), day].sort()
    onChange(next.length > 0 ? next : null)
  }
  return (
    <fieldset className={css.deliveryDays}>
      <legend className="form-label">Comes on</legend>
      {WEEKDAYS.map((name, index) => (
        <Button
          key={name}
          size="sm"
          variant={days?.includes(index + 1) ? 'primary' : 'outline-dark'}
          aria-pressed={days?.includes(index + 1) ?? false}
          aria-label={`${supplier.name} comes on ${name}`}
          onClick={() => turn(index + 1)}
        >
          {name}
        </Button>
      ))}
      {days === null ? <span className="form-text">any day, as long as nobody says</span> : null}
    </fieldset>
  )
}

/** One supplier that stands here under two names becomes one: asked twice, because it cannot be taken back. */
function MergeChoice({ supplier, others }: TermsRowProps) {
  const merge = useMergeSuppliers()
  const [into, setInto] = useState('')
  const other = others.find((row) => row.id === into)
  return (
    <>
      <Form.Group controlId={`merge-${supplier.id}`}>
        <Form.Label>Same supplier as</Form.Label>
        <Form.Select value={into} onChange={(event) => setInto(event.target.value)}>
          <option value="">none of the others</option>
          {others.map((row) => (
            <option key={row.id} value={row.id}>
              {row.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {other ? (
        <Button
          className={css.supplierMerge}
          variant="outline-dark"
          disabled={merge.isPending}
          onClick={() => merge.mutate({ from: supplier.id, into: other.id })}
        >
          Put all of {supplier.name} under {other.name}
        </Button>
      ) : null}
      {merge.isError ? <Failed error={merge.error} /> : null}
    </>
  )
}
