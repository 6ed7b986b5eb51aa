import type { FabricationEdit, FabricationRecord } from '@fleam/contract'
import { editOf } from '@fleam/contract'
import {
  ALLOCATIONS,
  type Allocation,
  CREDIT_POLICIES,
  type CreditPolicy,
  type LabourEntry,
  type Offer,
  PRICE_UNITS,
  type PriceUnit,
  type Purchase,
} from '@fleam/core'
import { type FormEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useChangeFabrication } from '../../data/queries.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { WeightField } from '../../parts/weight-field.tsx'
import { OfferFields } from './offer-fields.tsx'
import { PileValues } from './pile-values.tsx'
import { ALLOCATION_WORDS, POLICY_WORDS } from './policy-words.ts'

interface AssumptionsFormProps {
  record: FabricationRecord
  onSaved: () => void
}

/** Everything a verdict rests on that is not a weighing. Saved as a whole, or not at all. */
export function AssumptionsForm({ record, onSaved }: AssumptionsFormProps) {
  const change = useChangeFabrication(record.id)
  const [edit, setEdit] = useState<FabricationEdit>(() => editOf(record, {}))
  const patch = (changes: Partial<FabricationEdit>) => setEdit((before) => ({ ...before, ...changes }))
  const patchPurchase = (changes: Partial<Purchase>) =>
    setEdit((before) => ({ ...before, purchase: { ...before.purchase, ...changes } }))
  const submit = (event: FormEvent) => {
    event.preventDefault()
    change.mutate({ ...edit, version: record.version }, { onSuccess: onSaved })
  }
  const primaryNames = edit.piles.filter((pile) => pile.class === 'primary').map((pile) => pile.name)
  return (
    <Form onSubmit={submit}>
      <fieldset className="fields">
        <legend>Purchase</legend>
        <NumberField
          label={`Price, ${record.currency}`}
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
          label={`Charges, ${record.currency}`}
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
      <LabourFields labour={edit.labour} currency={record.currency} onChange={(labour) => patch({ labour })} />
      <PileValues piles={edit.piles} onChange={(piles) => patch({ piles })} />
      <OfferFields
        offers={edit.offers}
        pileNames={primaryNames}
        currency={record.currency}
        onChange={(offers: Offer[]) => patch({ offers })}
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
      {change.isError ? <Failed error={change.error} /> : null}
      <Button type="submit" className="main-action" disabled={change.isPending}>
        Save to the record
      </Button>
    </Form>
  )
}

interface LabourFieldsProps {
  labour: LabourEntry[]
  currency: string
  onChange: (labour: LabourEntry[]) => void
}

function LabourFields({ labour, currency, onChange }: LabourFieldsProps) {
  const change = (at: number, changes: Partial<LabourEntry>) =>
    onChange(labour.map((entry, each) => (each === at ? { ...entry, ...changes } : entry)))
  return (
    <fieldset className="fields">
      <legend>Labour</legend>
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
