import type { Product } from '@fleam/contract/buying/schemas'
import type { PlateSaid, ProductPlate } from '@fleam/core/buying'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useUpdatePlate } from '../../data/buying-queries.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { Failed } from '../../parts/states.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'

interface WhatAPlateIsProps {
  /** Products of the item, each with what a plate of it is in this comparison. */
  products: readonly { product: Product; said: PlateSaid }[]
}

/** What the kitchen serves as one plate of each product: one drumstick is none. Asked once for each. */
export function WhatAPlateIs({ products }: WhatAPlateIsProps) {
  const format = useFormat()
  const assumed = products.filter(({ said }) => said.isAssumed)
  const words = ({ pile, pieces }: PlateSaid) =>
    `${pile} ${format.quantity(pieces, 'count')} ${pieces === 1 ? 'piece' : 'pieces'}`
  if (products.length === 0) return null
  return (
    <section aria-labelledby="plates">
      <h2 id="plates">What a plate is</h2>
      <p className="quiet">
        {products.map(({ said }) => words(said)).join(', ')}
        {assumed.length > 0
          ? `. Assumed of ${assumed.length === products.length ? 'all' : assumed.map(({ said }) => said.pile).join(', ')}: say once what you serve.`
          : '.'}
      </p>
      <details>
        <summary>Say what a plate is</summary>
        {products.map(({ product, said }) => (
          <OnePlate key={product.id} product={product} said={said} />
        ))}
      </details>
    </section>
  )
}

const USUAL_GRAMS = 180

/** One product's plate; what is said is kept as soon as it is a number. */
function OnePlate({ product, said }: { product: Product; said: PlateSaid }) {
  const [plate, setPlate] = useState<ProductPlate>(product.plate ?? { by: 'pieces', count: said.pieces })
  const update = useUpdatePlate(product.id)
  const keep = (next: ProductPlate) => {
    setPlate(next)
    update.mutate(next)
  }
  return (
    <div className="question">
      <Form.Group controlId={`plate-${product.id}`}>
        <Form.Label>A plate of {said.pile}</Form.Label>
        <Form.Select
          value={plate.by}
          onChange={({ target }) =>
            keep(
              target.value === 'pieces' ? { by: 'pieces', count: said.pieces } : { by: 'edible', grams: USUAL_GRAMS },
            )
          }
        >
          <option value="pieces">so many pieces</option>
          <option value="edible">so much meat, raw, without bone</option>
        </Form.Select>
      </Form.Group>
      {plate.by === 'pieces' ? (
        <NumberField
          label={`Pieces of ${said.pile}`}
          value={plate.count}
          min={0.1}
          max={100}
          onChange={(count) => count !== null && keep({ by: 'pieces', count })}
        />
      ) : (
        <WeightField
          label={`Meat of ${said.pile}`}
          grams={plate.grams}
          onChange={(grams) => grams !== null && grams > 0 && keep({ by: 'edible', grams })}
        />
      )}
      {update.isError ? <Failed error={update.error} /> : null}
    </div>
  )
}
