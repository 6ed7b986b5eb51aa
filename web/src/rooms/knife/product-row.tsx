import type { PortionProduct } from '@fleam/core/portioning'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { LengthField } from '../../parts/length-field.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { WeightField } from '../../parts/weight-field.tsx'
import { PlaceFields } from './place-fields.tsx'
import css from './product-fields.module.css'

interface ProductRowProps {
  product: PortionProduct
  /** Its place among the products, from one. */
  place: number
  /** Length of the piece, mm. */
  length: number
  hasPlaces: boolean
  onChange: (changes: Partial<PortionProduct>) => void
  /** Null for the only product. */
  onRemove: (() => void) | null
}

const WEIGHTS = [
  ['target', 'Target'],
  ['low', 'Least weight'],
  ['high', 'Greatest weight'],
] as const
const LENGTHS = [
  ['minThickness', 'Least thickness'],
  ['maxThickness', 'Greatest thickness'],
  ['targetThickness', 'Thickness'],
  ['minFace', 'Least face'],
] as const
const NUMBERS = [
  ['min', 'Least number'],
  ['max', 'Greatest number'],
] as const
const MAX_MM = 1000
const MAX_PORTIONS = 1000

/** One product that may be cut: how heavy, how thick, how many, and what it is worth. */
export function ProductRow({ product, place, length, hasPlaces, onChange, onRemove }: ProductRowProps) {
  return (
    <tr>
      <td>
        <Form.Control
          aria-label={`Name of product ${place}`}
          value={product.name}
          maxLength={120}
          onChange={(event) => event.target.value.trim() && onChange({ name: event.target.value })}
        />
      </td>
      {WEIGHTS.map(([key, label]) => (
        <td key={key} className={css.weight}>
          <WeightField
            isLabelHidden
            label={`${label} of ${product.name}`}
            grams={product[key]}
            onChange={(grams) => grams !== null && grams > 0 && onChange({ [key]: grams })}
          />
        </td>
      ))}
      {LENGTHS.map(([key, label]) => (
        <td key={key}>
          <LengthField
            isLabelHidden
            label={`${label} of ${product.name}`}
            mm={product[key] ?? null}
            max={MAX_MM}
            onChange={(mm) => onChange({ [key]: mm ?? undefined })}
          />
        </td>
      ))}
      {NUMBERS.map(([key, label]) => (
        <td key={key}>
          <NumberField
            isLabelHidden
            label={`${label} of ${product.name}`}
            value={product[key] ?? null}
            max={MAX_PORTIONS}
            onChange={(value) => onChange({ [key]: value ?? undefined })}
          />
        </td>
      ))}
      <td>
        <NumberField
          isLabelHidden
          label={`Value of ${product.name}`}
          value={product.value}
          onChange={(value) => value !== null && onChange({ value })}
        />
      </td>
      {hasPlaces ? <PlaceFields key={length} product={product} length={length} onChange={onChange} /> : null}
      <td>
        {onRemove ? (
          <Button size="sm" variant="outline-dark" aria-label={`Leave out ${product.name}`} onClick={onRemove}>
            Leave out
          </Button>
        ) : null}
      </td>
    </tr>
  )
}
