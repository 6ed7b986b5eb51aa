import type { Assumptions } from '@fleam/contract'
import {
  ALLOCATION_WORDS,
  ALLOCATIONS,
  type Allocation,
  CREDIT_POLICIES,
  type CreditPolicy,
  type LabourEntry,
  POLICY_WORDS,
  PRICE_UNITS,
  type PriceUnit,
  type Purchase,
} from '@fleam/core'
import Form from 'react-bootstrap/Form'
import { NumberField } from '../../parts/number-field.tsx'
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
  const patchPurchase = (changes: Partial<Purchase>) => patch({ purchase: { ...edit.purchase, ...changes } })
  return (
    <div className={css.assumptionFields}>
      <fieldset className="fields">
        <legend>Purchase</legend>
        <NumberField
          label={`Price, ${currency}`}
          value={edit.purchase.price.amount}
          onChange={(amount) => amount !== null && patchPurchase({ price: { ...edit.purchase.price, amount } })}
        />
        <Form.Group controlId="assume-per">
          <Form.Label>per</Form.Label>
          <Form.Select
            value={edit.purchase.price.per}
            onChange={(event) =>
              patchPurchase({ price: { ...edit.purchase.price, per: event.target.value as PriceUnit } })
            }
          >
            {PRICE_UNITS.map((unit) => (
              <option key={unit}>{unit}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <NumberField
          label={`Charges, ${currency}`}
          value={edit.purchase.extras ?? null}
          onChange={(extras) => patchPurchase({ extras: extras ?? undefined })}
        />
        <WeightField
          label="On the invoice"
          grams={edit.purchase.invoiceWeight}
          onChange={(grams) => grams !== null && patchPurchase({ invoiceWeight: grams })}
        />
        <WeightField
          label="Received"
          grams={edit.purchase.receivedWeight ?? null}
          onChange={(grams) => patchPurchase({ receivedWeight: grams ?? undefined })}
        />
        <WeightField
          label="Drained"
          grams={edit.purchase.purge ?? null}
          onChange={(grams) => patchPurchase({ purge: grams ?? undefined })}
        />
      </fieldset>
      <LabourFields labour={edit.labour} currency={currency} onChange={(labour) => patch({ labour })} />
      <PileValues piles={edit.piles} onChange={onChange} />
      <OfferFields
        offers={edit.offers}
        piles={edit.piles.filter((pile) => pile.class === 'primary')}
        currency={currency}
        onChange={(offers) => patch({ offers })}
      />
      <fieldset className="fields">
        <legend>How it is counted</legend>
        <Form.Group controlId="assume-policy">
          <Form.Label>By-products count</Form.Label>
          <Form.Select
            value={edit.creditPolicy}
            onChange={(event) => patch({ creditPolicy: event.target.value as CreditPolicy })}
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
            onChange={(event) => patch({ allocation: event.target.value as Allocation })}
          >
            {ALLOCATIONS.map((allocation) => (
              <option key={allocation} value={allocation}>
                {ALLOCATION_WORDS[allocation]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      </fieldset>
    </div>
  )
}

interface LabourFieldsProps {
  labour: LabourEntry[]
  currency: string
  onChange: (labour: LabourEntry[]) => void
}

function LabourFields({ labour, currency, onChange }: LabourFieldsProps) {
  const format = useFormat()
  const change = (at: number, changes: Partial<LabourEntry>) =>
    onChange(labour.map((entry, each) => (each === at ? { ...entry, ...changes } : entry)))
  return (
    <fieldset className="fields">
      <legend>{format.words('Labour')}</legend>
      {labour.map((entry, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: entries have no id, and their number does not change here
        <div key={at} className="field-pair">
          <NumberField
            label={`Minutes to ${entry.task}`}
            value={entry.minutes}
            onChange={(minutes) => minutes !== null && change(at, { minutes })}
          />
          <NumberField
            label={`Wage, ${currency} an hour`}
            value={entry.ratePerHour}
            onChange={(ratePerHour) => ratePerHour !== null && change(at, { ratePerHour })}
          />
        </div>
      ))}
    </fieldset>
  )
}
