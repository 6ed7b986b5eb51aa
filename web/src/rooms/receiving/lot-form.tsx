import './receiving.css'
import { PRICE_UNITS, type PriceUnit, type Quote } from '@fleam/core'
import { useEffect, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useFormsOfItem } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { useKitchenCautions } from '../../parts/cautions.ts'
import { DayField } from '../../parts/day-field.tsx'
import { MoreFields } from '../../parts/form-fields.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { PER_WORDS } from '../../parts/price-words.ts'
import { SearchChoice } from '../../parts/search-choice.tsx'
import { SupplierField } from '../../parts/supplier-field.tsx'
import { LotCases } from './lot-cases.tsx'
import { LotChecks } from './lot-checks.tsx'
import type { LotDraft } from './lot-draft.ts'

interface LotFormProps {
  draft: LotDraft
  onChange: (draft: LotDraft) => void
}

/** Everything of a delivery in one screen: what came, its cases, and what was looked at. */
export function LotForm({ draft, onChange }: LotFormProps) {
  const { currency } = useKitchen()
  const items = (useItems().data ?? []).filter((each) => !each.isArchived)
  const item = items.find((each) => each.id === draft.itemId)
  const forms = useFormsOfItem(item?.id ?? '').data ?? []
  const cautions = useKitchenCautions({ itemId: draft.itemId })
  const change = (changes: Partial<LotDraft>) => onChange({ ...draft, ...changes })
  // The price book knows what the supplier asks for it today.
  const [offered, setOffered] = useState(0)
  const [offeredFor, setOfferedFor] = useState<Quote | null>(null)
  const quote = forms.find((form) => form.supplier === draft.supplier.trim())?.quote
  useEffect(() => {
    if (!quote || offeredFor === quote) return
    // Offered once: who clears the field to type another price is not spoken over.
    setOfferedFor(quote)
    if (draft.price.amount !== null) return
    onChange({ ...draft, price: quote.price, extras: draft.extras ?? quote.delivery })
    setOffered((count) => count + 1)
  }, [quote, offeredFor, draft, onChange])
  return (
    <>
      <div className="form-grid">
        <SearchChoice
          label="What came"
          choices={items}
          value={draft.itemId}
          placeholder="choose"
          onChoose={(itemId) => change({ itemId, checks: [] })}
        />
        <SupplierField label="From" value={draft.supplier} onChange={(supplier) => change({ supplier })} />
        <NumberField
          key={`price ${offered}`}
          label={`Price on the invoice, ${currency}`}
          value={draft.price.amount}
          onChange={(amount) => change({ price: { ...draft.price, amount } })}
          isRequired
        />
        <Form.Group controlId="lot-per">
          <Form.Label>For</Form.Label>
          <Form.Select
            value={draft.price.per}
            onChange={(event) => change({ price: { ...draft.price, per: event.target.value as PriceUnit } })}
          >
            {PRICE_UNITS.map((per) => (
              <option key={per} value={per}>
                {PER_WORDS[per]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <NumberField
          key={`pieces ${draft.cases.length}`}
          label={`How many ${item?.unitName.many ?? 'pieces'}`}
          value={draft.pieces}
          min={1}
          onChange={(pieces) => change({ pieces })}
          hint="as on the label or invoice"
        />
        <NumberField
          key={`extras ${offered}`}
          label={`Delivery charge, ${currency}`}
          value={draft.extras}
          onChange={(extras) => change({ extras })}
          hint="none"
        />
        <TextField label="Lot" value={draft.code} onChange={(code) => change({ code })} />
        <DayField label="Use by" value={draft.useBy} onChange={(useBy) => change({ useBy })} />
        <DayField label="Received on" value={draft.receivedOn} onChange={(day) => day && change({ receivedOn: day })} />
        <MoreFields title="Numbers for a claim">
          <TextField
            label="Invoice number"
            value={draft.invoiceNumber}
            onChange={(invoiceNumber) => change({ invoiceNumber })}
          />
          <TextField
            label="Order number"
            value={draft.orderNumber}
            onChange={(orderNumber) => change({ orderNumber })}
          />
          <TextField
            label="Article number"
            value={draft.articleNumber}
            onChange={(articleNumber) => change({ articleNumber })}
          />
        </MoreFields>
      </div>
      <div className="two-columns">
        <LotCases draft={draft} onChange={onChange} />
        {item ? (
          <LotChecks
            species={item.species}
            checks={draft.checks}
            onChange={(checks) => change({ checks })}
            cautions={cautions.at(item.species, 'receiving')}
          />
        ) : (
          <p className="quiet">Say what came, and the checks that fit it stand here.</p>
        )}
      </div>
    </>
  )
}

interface TextFieldProps {
  label: string
  value: string | null
  onChange: (value: string | null) => void
}

const TextField = ({ label, value, onChange }: TextFieldProps) => (
  <Form.Group controlId={`lot-${label}`}>
    <Form.Label>{label}</Form.Label>
    <Form.Control
      value={value ?? ''}
      maxLength={120}
      onChange={(event) => onChange(event.target.value.trim() === '' ? null : event.target.value)}
    />
  </Form.Group>
)
