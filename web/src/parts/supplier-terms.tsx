import './supplier-terms.css'
import type { Supplier } from '@fleam/contract'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useMergeSuppliers, usePutSupplier, useSuppliers } from '../data/buying-queries.ts'
import { useKitchen } from '../data/kitchen-context.ts'
import { NumberField } from './number-field.tsx'
import { Failed } from './states.tsx'

/** What each supplier asks for a delivery, and its least order: they hold wherever a price says nothing else. */
export function SupplierTerms() {
  const suppliers = useSuppliers()
  if (!suppliers.data || suppliers.data.length === 0) return null
  return (
    <section aria-labelledby="supplier-terms">
      <h2 id="supplier-terms">Suppliers</h2>
      {suppliers.data.map((supplier) => (
        <TermsRow
          key={`${supplier.id} ${supplier.name} ${supplier.delivery} ${supplier.minimumOrder}`}
          supplier={supplier}
          others={suppliers.data.filter((each) => each.id !== supplier.id)}
        />
      ))}
    </section>
  )
}

interface TermsRowProps {
  supplier: Supplier
  others: readonly Supplier[]
}

function TermsRow({ supplier, others }: TermsRowProps) {
  const { currency } = useKitchen()
  const put = usePutSupplier()
  const [name, setName] = useState(supplier.name)
  const [delivery, setDelivery] = useState<number | null>(supplier.delivery)
  const [minimumOrder, setMinimumOrder] = useState<number | null>(supplier.minimumOrder)
  const isChanged =
    name.trim() !== supplier.name || (delivery ?? 0) !== supplier.delivery || minimumOrder !== supplier.minimumOrder
  return (
    <form
      className="supplier-terms"
      onSubmit={(event) => {
        event.preventDefault()
        put.mutate({ ...supplier, name: name.trim(), delivery: delivery ?? 0, minimumOrder })
      }}
    >
      <Form.Group controlId={`supplier-${supplier.id}`}>
        <Form.Label>Name</Form.Label>
        <Form.Control value={name} maxLength={120} required onChange={(event) => setName(event.target.value)} />
      </Form.Group>
      <NumberField label={`Delivery charge, ${currency}`} value={delivery} onChange={setDelivery} />
      <NumberField label={`Minimum order, ${currency}, if any`} value={minimumOrder} onChange={setMinimumOrder} />
      {others.length > 0 ? <MergeChoice supplier={supplier} others={others} /> : null}
      <Button
        type="submit"
        variant="outline-dark"
        disabled={!isChanged || name.trim() === '' || put.isPending}
        aria-label={`Save the terms of ${supplier.name}`}
      >
        Save
      </Button>
      {put.isError ? <Failed error={put.error} /> : null}
    </form>
  )
}

/** One supplier that stands here under two names becomes one: asked twice, because it cannot be taken back. */
function MergeChoice({ supplier, others }: TermsRowProps) {
  const merge = useMergeSuppliers()
  const [into, setInto] = useState('')
  const other = others.find((each) => each.id === into)
  return (
    <>
      <Form.Group controlId={`merge-${supplier.id}`}>
        <Form.Label>Same supplier as</Form.Label>
        <Form.Select value={into} onChange={(event) => setInto(event.target.value)}>
          <option value="">none of the others</option>
          {others.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {other ? (
        <Button
          className="supplier-merge"
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
