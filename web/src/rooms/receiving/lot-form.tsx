import type { PriceUnit } from '@fleam/core/fabrication'
import { Controller, type FieldPath, useWatch } from 'react-hook-form'
import { useFormsOfItem } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { FormDay, FormNumber, FormSelect, FormText, MoreFields } from '../../parts/form-fields.tsx'
import { usePriceUnits } from '../../parts/price-units.tsx'
import { PER_WORDS } from '../../parts/price-words.ts'
import { SearchChoice } from '../../parts/search-choice.tsx'
import { SupplierField } from '../../parts/supplier-field.tsx'
import { LotCases } from './lot-cases.tsx'
import { LotChecks } from './lot-checks.tsx'
import type { LotDraft } from './lot-draft.ts'
import type { LotFormState } from './use-lot-form.ts'
import { useOfferedPrice } from './use-offered-price.ts'

interface LotFormProps {
  form: LotFormState
  /** The article that was ordered; null where nobody ordered it. */
  articleId?: string | null
}

/** Everything of a delivery in one screen: what came, its cases, and what was looked at. */
export function LotForm({ form, articleId = null }: LotFormProps) {
  const { control, setValue } = form
  const [itemId, checks] = useWatch({ control, name: ['itemId', 'checks'] })
  const items = (useItems().data ?? []).filter((row) => !row.isArchived)
  const item = items.find((item) => item.id === itemId)
  const cautions = useKitchenCautions({ itemId })
  useOfferedPrice(form, useFormsOfItem(item?.id ?? '').data, articleId)
  return (
    <>
      <div className="form-grid">
        <Controller
          control={control}
          name="itemId"
          render={({ field, fieldState }) => (
            <SearchChoice
              label="What came"
              choices={items}
              value={field.value}
              placeholder="choose"
              error={fieldState.error?.message}
              onChoose={(chosen) => {
                field.onChange(chosen)
                setValue('checks', [])
              }}
            />
          )}
        />
        <Supplier form={form} />
        <Invoice form={form} pieces={item?.unitName.many ?? 'pieces'} />
        <LotText form={form} name="code" label="Lot" />
        <LotDay form={form} name="useBy" label="Use by" />
        <FormDay control={control} name="receivedOn" label="Received on" />
        <MoreFields title="Numbers for a claim">
          <LotText form={form} name="invoiceNumber" label="Invoice number" />
          <LotText form={form} name="orderNumber" label="Order number" />
          <LotText form={form} name="articleNumber" label="Article number" />
        </MoreFields>
      </div>
      <div className="two-columns">
        <LotCases form={form} />
        {item ? (
          <LotChecks
            species={item.species}
            checks={checks}
            onChange={(answers) => setValue('checks', answers)}
            cautions={cautions.at(item.species, 'receiving')}
          />
        ) : (
          <p className="quiet">Say what came, and the checks that fit it stand here.</p>
        )}
      </div>
    </>
  )
}

/** What the invoice says: price, unit, pieces, charges. */
function Invoice({ form: { control }, pieces }: { form: LotFormState; pieces: string }) {
  const { currency } = useKitchen()
  const choices = Object.fromEntries(usePriceUnits().map((per) => [per, PER_WORDS[per]])) as Record<PriceUnit, string>
  return (
    <>
      <FormNumber control={control} name="price.amount" label={`Price on the invoice, ${currency}`} />
      <FormSelect control={control} name="price.per" label="For" choices={choices} />
      <FormNumber
        control={control}
        name="pieces"
        label={`How many ${pieces}`}
        min={1}
        hint="as on the label or invoice"
      />
      <FormNumber control={control} name="extras" label={`Delivery charge, ${currency}`} hint="none" />
    </>
  )
}

const Supplier = ({ form: { control } }: { form: LotFormState }) => (
  <Controller
    control={control}
    name="supplier"
    render={({ field, fieldState }) => (
      <SupplierField label="From" value={field.value} error={fieldState.error?.message} onChange={field.onChange} />
    )}
  />
)

interface LotFieldProps {
  form: LotFormState
  name: FieldPath<LotDraft>
  label: string
}

const LotText = ({ form: { control }, ...field }: LotFieldProps) => <FormText control={control} {...field} />
const LotDay = ({ form: { control }, ...field }: LotFieldProps) => <FormDay control={control} {...field} />
