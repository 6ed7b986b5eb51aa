import type { PortionProduct } from '@fleam/core/portioning'
import Form from 'react-bootstrap/Form'
import { LengthField } from '../../parts/length-field.tsx'
import css from './product-fields.module.css'

interface PlaceFieldsProps {
  product: PortionProduct
  length: number
  onChange: (changes: Partial<PortionProduct>) => void
}

/** Where along the piece a product may lie, and whether it is folded: cells of its row. */
export function PlaceFields({ product, length, onChange }: PlaceFieldsProps) {
  const [from, to] = product.within ?? [0, length]
  const place = (next: readonly [number, number]) =>
    onChange({ within: next[0] <= 0 && next[1] >= length ? undefined : next })
  return (
    <>
      <td>
        <LengthField
          isLabelHidden
          label={`Only from, of ${product.name}`}
          mm={product.within ? Math.round(from) : null}
          max={2000}
          onChange={(at) => place([at ?? 0, to])}
        />
      </td>
      <td>
        <LengthField
          isLabelHidden
          label={`Only to, of ${product.name}`}
          mm={product.within ? Math.round(to) : null}
          max={2000}
          onChange={(at) => place([from, at ?? length])}
        />
      </td>
      <td>
        <Form.Check
          className={css.folded}
          aria-label={`${product.name} is folded`}
          checked={product.folded ?? false}
          onChange={(event) => onChange({ folded: event.target.checked || undefined })}
        />
      </td>
    </>
  )
}
