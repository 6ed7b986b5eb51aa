import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { MAX_UNITS } from '@fleam/core/limits'
import { zodResolver } from '@hookform/resolvers/zod'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type UseFormReturn, useForm } from 'react-hook-form'
import { z } from 'zod'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useCooks, useItems, useUpdateFabrication } from '../../data/queries.ts'
import { supplierIdOf } from '../../data/supplier-id.ts'
import { FormDay, FormNumber } from '../../parts/form-fields.tsx'
import { Failed } from '../../parts/states.tsx'
import { RecordHistory } from './record-history.tsx'

const fields = z.object({
  styleId: z.string(),
  units: z.number({ error: 'How many were cut?' }).int('Whole ones only.').min(1, 'At least one.').max(MAX_UNITS),
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'Which day?'),
  cookId: z.string(),
  supplier: z.string().trim().max(120),
  lot: z.string().trim().max(120),
  notes: z.string().trim().max(2000),
  leftOut: z.string().trim().max(200),
})
type Fields = z.infer<typeof fields>

/** What a record says of itself, to be put right; what it said before is kept below. */
export function RecordDetails({ record }: { record: FabricationRecord }) {
  const kitchen = useKitchen()
  const change = useUpdateFabrication(record.id)
  const form = useForm<Fields>({
    resolver: zodResolver(fields),
    values: {
      styleId: record.styleId ?? '',
      units: record.units,
      date: record.date,
      cookId: record.cookId ?? '',
      supplier: record.supplier ?? '',
      lot: record.lot ?? '',
      notes: record.notes ?? '',
      leftOut: record.leftOut ?? '',
    },
  })
  const save = form.handleSubmit(async ({ supplier, ...values }) => {
    const isSameSupplier = supplier === (record.supplier ?? '')
    const other = supplier === '' ? null : await supplierIdOf(kitchen.id, supplier)
    change.mutate(
      editOf(record, {
        units: values.units,
        date: values.date,
        styleId: values.styleId || null,
        cookId: values.cookId || null,
        supplierId: isSameSupplier ? record.supplierId : other,
        lot: values.lot || null,
        notes: values.notes || null,
        leftOut: values.leftOut || null,
      }),
    )
  })
  return (
    <section aria-labelledby="record-details">
      <h2 id="record-details">Record and its history</h2>
      <Form onSubmit={(event) => void save(event)} className="fields" noValidate>
        <RecordFields form={form} />
        <div className="wide">
          <Button type="submit" variant="outline-dark" disabled={change.isPending || !form.formState.isDirty}>
            Save changes
          </Button>
        </div>
      </Form>
      {change.isError ? <Failed error={change.error} /> : null}
      <RecordHistory record={record} />
    </section>
  )
}

const TEXTS = [
  { name: 'supplier', label: 'Supplier', hint: '' },
  { name: 'lot', label: 'Lot', hint: '' },
  { name: 'notes', label: 'Notes', hint: '' },
  { name: 'leftOut', label: 'Left out of averages because', hint: 'empty: it counts' },
] as const

function RecordFields({ form }: { form: UseFormReturn<Fields> }) {
  const { register, formState, control } = form
  const { data: cooks = [] } = useCooks()
  const { data: items = [] } = useItems()
  return (
    <>
      <Form.Group controlId="record-style">
        <Form.Label>Item and cut style</Form.Label>
        <Form.Select {...register('styleId')}>
          <option value="">none of this kitchen’s</option>
          {items.flatMap((item) =>
            item.styles.map((style) => (
              <option key={style.id} value={style.id}>
                {item.name}: {style.name}
              </option>
            )),
          )}
        </Form.Select>
      </Form.Group>
      <FormNumber control={control} name="units" label="How many" min={1} max={MAX_UNITS} />
      <Form.Group controlId="record-cook">
        <Form.Label>Cook</Form.Label>
        <Form.Select {...register('cookId')}>
          <option value="">Unassigned</option>
          {cooks.map((cook) => (
            <option key={cook.id} value={cook.id}>
              {cook.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <FormDay control={control} name="date" label="Day" />
      {TEXTS.map(({ name, label, hint }) => (
        <Form.Group key={name} controlId={`record-${name}`}>
          <Form.Label>{label}</Form.Label>
          <Form.Control isInvalid={formState.errors[name] !== undefined} {...register(name)} />
          <Form.Text className={formState.errors[name] ? 'refusal' : ''}>
            {formState.errors[name]?.message ?? hint}
          </Form.Text>
        </Form.Group>
      ))}
    </>
  )
}
