import type { Assumptions } from '@fleam/contract/what-if/schemas'
import {
  ALLOCATIONS,
  type Allocation,
  CREDIT_POLICIES,
  type CreditPolicy,
  type LabourEntry,
  type PriceUnit,
  type Purchase,
} from '@fleam/core/fabrication'
import { ALLOCATION_WORDS, POLICY_WORDS } from '@fleam/core/wording'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'
import { PriceUnitOptions } from '../../parts/price-units.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import css from './assumption-fields.module.css'
import { OfferFields } from './offer-fields.tsx'
import { PileValues } from './pile-values.tsx'
import type { ChangeAssumptions } from './use-try-out.ts'

interface AssumptionFieldsProps {
  /** What the fields start with; later values come from the fields themselves. */
  assumptions: Assumptions
  currency: string
  onChange: ChangeAssumptions
}

/** Everything a verdict rests on that is not a weighing; each field is told as one types. */
export function AssumptionFields({ assumptions: edit, currency, onChange }: AssumptionFieldsProps) {
  const patch = (changes: Partial<Assumptions>) => onChange(() => changes)
  return (
    <div className={css.assumptionFields}>
      <PurchaseFields
        purchase={edit.purchase}
        currency={currency}
        onChange={(changes) => patch({ purchase: { ...edit.purchase, ...changes } })}
      />
      <LabourFields labour={edit.labour} currency={currency} onChange={(labour) => patch({ labour })} />
      <PileValues piles={edit.piles} onChange={onChange} />
      <OfferFields
        offers={edit.offers}
        piles={edit.piles.filter((pile) => pile.class === 'primary')}
        currency={currency}
        onChange={(offers) => patch({ offers })}
      />
      <CountingFields edit={edit} onChange={patch} />
    </div>
  )
}

interface PurchaseFieldsProps {
  purchase: Purchase
  currency: string
  onChange: (changes: Partial<Purchase>) => void
}

/** What was paid for how much. */
const PurchaseFields = ({ purchase, currency, onChange }: PurchaseFieldsProps) => (
  <fieldset className="fields">
    <legend>Purchase</legend>
    <NumberField
      label={`Price, ${currency}`}
      value={purchase.price.amount}
      onChange={(amount) => amount !== null && onChange({ price: { ...purchase.price, amount } })}
    />
    <Form.Group controlId="assume-per">
      <Form.Label>per</Form.Label>
      <Form.Select
        value={purchase.price.per}
        onChange={(event) => onChange({ price: { ...purchase.price, per: event.target.value as PriceUnit } })}
      >
        <PriceUnitOptions />
      </Form.Select>
    </Form.Group>
    <NumberField
      label={`Charges, ${currency}`}
      value={purchase.extras ?? null}
      onChange={(extras) => onChange({ extras: extras ?? undefined })}
    />
    <WeightField
      label="On the invoice"
      grams={purchase.invoiceWeight}
      onChange={(grams) => grams !== null && onChange({ invoiceWeight: grams })}
    />
    <WeightField
      label="Received"
      grams={purchase.receivedWeight ?? null}
      onChange={(grams) => onChange({ receivedWeight: grams ?? undefined })}
    />
    <WeightField
      label="Drained"
      grams={purchase.purge ?? null}
      onChange={(grams) => onChange({ purge: grams ?? undefined })}
    />
  </fieldset>
)

interface CountingFieldsProps {
  edit: Assumptions
  onChange: (changes: Partial<Assumptions>) => void
}

/** How by-products count, and how the cost is spread over the portions. */
const CountingFields = ({ edit, onChange }: CountingFieldsProps) => (
  <fieldset className="fields">
    <legend>How it is counted</legend>
    <Form.Group controlId="assume-policy">
      <Form.Label>By-products count</Form.Label>
      <Form.Select
        value={edit.creditPolicy}
        onChange={(event) => onChange({ creditPolicy: event.target.value as CreditPolicy })}
      >
        {CREDIT_POLICIES.map((policy) => (
          <option key={policy} value={policy}>
            {POLICY_WORDS[policy].name}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
    <Form.Group controlId="assume-allocation">
      <Form.Label>Cost is spread</Form.Label>
      <Form.Select
        value={edit.allocation}
        onChange={(event) => onChange({ allocation: event.target.value as Allocation })}
      >
        {ALLOCATIONS.map((allocation) => (
          <option key={allocation} value={allocation}>
            {ALLOCATION_WORDS[allocation]}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  </fieldset>
)

interface LabourFieldsProps {
  labour: LabourEntry[]
  currency: string
  onChange: (labour: LabourEntry[]) => void
}

function LabourFields({ labour, currency, onChange }: LabourFieldsProps) {
  const format = useFormat()
  const change = (at: number, changes: Partial<LabourEntry>) =>
    onChange(labour.map((entry, index) => (index === at ? { ...entry, ...changes } : entry)))
  return (
    <fieldset className="fields">
      <legend>{format.words('Labour')}</legend>
      {labour.map((entry, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: entries have no id, and their number does not change here
        <div key={index} className="field-pair">
          <NumberField
            label={`Minutes to ${entry.task}`}
            value={entry.minutes}
            onChange={(minutes) => minutes !== null && change(index, { minutes })}
          />
          <NumberField
            label={`Wage, ${currency} an hour`}
            value={entry.ratePerHour}
            onChange={(ratePerHour) => ratePerHour !== null && change(index, { ratePerHour })}
          />
        </div>
      ))}
    </fieldset>
  )
}
