import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import { useSuppliers } from '../data/buying-queries.ts'

interface SupplierFieldProps {
  label: string
  value: string
  onChange: (supplier: string) => void
}

/** A supplier by name: one that is known, or a new one. */
export function SupplierField({ label, value, onChange }: SupplierFieldProps) {
  const suppliers = useSuppliers().data ?? []
  const id = useId()
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        list={`${id}-known`}
        value={value}
        maxLength={120}
        required
        onChange={(event) => onChange(event.target.value)}
      />
      <datalist id={`${id}-known`}>
        {suppliers.map((each) => (
          <option key={each.id} value={each.name} />
        ))}
      </datalist>
    </Form.Group>
  )
}
