import { useId } from 'react'
import Form from 'react-bootstrap/Form'
import { useSuppliers } from '../data/buying-queries.ts'

interface SupplierFieldProps {
  label: string
  value: string
  onChange: (supplier: string) => void
  /** Why what stands here cannot be taken, said by the form. */
  error?: string | undefined
}

/** A supplier by name: one that is known, or a new one. */
export function SupplierField({ label, value, onChange, error }: SupplierFieldProps) {
  const suppliers = useSuppliers().data ?? []
  const id = useId()
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        list={`${id}-known`}
        value={value}
        maxLength={120}
        isInvalid={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      {error ? <Form.Text className="refusal">{error}</Form.Text> : null}
      <datalist id={`${id}-known`}>
        {suppliers.map((supplier) => (
          <option key={supplier.id} value={supplier.name} />
        ))}
      </datalist>
    </Form.Group>
  )
}
