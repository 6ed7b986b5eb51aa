import type { Supplier } from '@fleam/contract'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { usePutSupplier, useSuppliers } from '../../data/buying-queries.ts'
import { useKitchen } from '../../parts/kitchen-context.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'

/** What each supplier asks for a delivery, and its least order: they hold wherever a price says nothing else. */
export function SupplierTerms() {
  const suppliers = useSuppliers()
  if (!suppliers.data || suppliers.data.length === 0) return null
  return (
    <section aria-labelledby="supplier-terms">
      <h2 id="supplier-terms">Suppliers</h2>
      {suppliers.data.map((supplier) => (
        <TermsRow key={`${supplier.id} ${supplier.delivery} ${supplier.minimumOrder}`} supplier={supplier} />
      ))}
    </section>
  )
}

function TermsRow({ supplier }: { supplier: Supplier }) {
  const { currency } = useKitchen()
  const put = usePutSupplier()
  const [delivery, setDelivery] = useState<number | null>(supplier.delivery)
  const [minimumOrder, setMinimumOrder] = useState<number | null>(supplier.minimumOrder)
  const isChanged = (delivery ?? 0) !== supplier.delivery || minimumOrder !== supplier.minimumOrder
  return (
    <form
      className="buying-wish"
      onSubmit={(event) => {
        event.preventDefault()
        put.mutate({ ...supplier, delivery: delivery ?? 0, minimumOrder })
      }}
    >
      <strong>{supplier.name}</strong>
      <NumberField label={`Delivery charge, ${currency}`} value={delivery} onChange={setDelivery} />
      <NumberField label={`Least order, ${currency}`} value={minimumOrder} onChange={setMinimumOrder} hint="none" />
      <Button
        type="submit"
        variant="outline-dark"
        disabled={!isChanged || put.isPending}
        aria-label={`Keep the terms of ${supplier.name}`}
      >
        Keep
      </Button>
      {put.isError ? <Failed error={put.error} /> : null}
    </form>
  )
}
