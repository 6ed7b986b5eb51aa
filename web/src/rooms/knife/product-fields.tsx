import type { KnifeLines } from '@fleam/contract'
import type { PortionProduct } from '@fleam/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import Table from 'react-bootstrap/Table'
import { useKitchen } from '../../data/kitchen-context.ts'
import { shapeById } from '../../parts/measured-piece.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { WeightField } from '../../parts/weight-field.tsx'
import { PlaceFields } from './place-fields.tsx'

interface ProductFieldsProps {
  draft: KnifeLines
  onChange: (changes: Partial<KnifeLines>) => void
}

const MOST_PRODUCTS = 8

/** What may be cut from it, and what scrap is worth. */
export function ProductFields({ draft, onChange }: ProductFieldsProps) {
  const { currency } = useKitchen()
  const { products, scrap } = draft
  // Places and folds are a fillet's matter: a loin's table stays short.
  const hasPlaces = shapeById(draft.shape).isFillet || products.some((each) => each.within || each.folded)
  // Fields keep what was typed: when a row goes, those below it are filled anew.
  const [fill, setFill] = useState(0)
  const set = (next: PortionProduct[]) => onChange({ products: next, lines: [] })
  const change = (which: number, changes: Partial<PortionProduct>) =>
    set(products.map((each, at) => (at === which ? { ...each, ...changes } : each)))
  const add = () =>
    set([...products, { name: `product ${products.length + 1}`, target: 150, low: 135, high: 165, value: 5 }])
  const field = (
    which: number,
    label: string,
    key: keyof PortionProduct & ('minThickness' | 'maxThickness' | 'minFace' | 'targetThickness' | 'max' | 'min'),
  ) => (
    <td>
      <NumberField
        isLabelHidden
        label={`${label} of ${products[which]?.name}`}
        value={products[which]?.[key] ?? null}
        max={1000}
        onChange={(value) => change(which, { [key]: value ?? undefined })}
      />
    </td>
  )
  return (
    <section className="no-print" aria-labelledby="products">
      <h2 id="products">What may be cut from it</h2>
      <Table className="knife-products" responsive>
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col">Weighs</th>
            <th scope="col">from</th>
            <th scope="col">to</th>
            <th scope="col">{currency} each</th>
            <th scope="col">No thinner, mm</th>
            <th scope="col">No thicker</th>
            <th scope="col">Just so thick</th>
            <th scope="col">Face from</th>
            <th scope="col">At least</th>
            <th scope="col">At most</th>
            {hasPlaces ? (
              <>
                <th scope="col">Only from, mm</th>
                <th scope="col">to, mm</th>
                <th scope="col">Folded</th>
              </>
            ) : null}
            <th scope="col">
              <span className="visually-hidden">Do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {products.map((product, which) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: products are told by their place while their names are typed
            <tr key={`${fill}-${which}`}>
              <td>
                <Form.Control
                  aria-label={`Name of product ${which + 1}`}
                  value={product.name}
                  maxLength={120}
                  onChange={(event) => event.target.value.trim() && change(which, { name: event.target.value })}
                />
              </td>
              {(['target', 'low', 'high'] as const).map((key) => (
                <td key={key} className="weight">
                  <WeightField
                    isLabelHidden
                    label={`${key} of ${product.name}`}
                    grams={product[key]}
                    onChange={(grams) => grams !== null && grams > 0 && change(which, { [key]: grams })}
                  />
                </td>
              ))}
              <td>
                <NumberField
                  isLabelHidden
                  label={`Value of ${product.name}`}
                  value={product.value}
                  onChange={(value) => value !== null && change(which, { value })}
                />
              </td>
              {field(which, 'Least thickness', 'minThickness')}
              {field(which, 'Greatest thickness', 'maxThickness')}
              {field(which, 'Thickness', 'targetThickness')}
              {field(which, 'Least face', 'minFace')}
              {field(which, 'Least number', 'min')}
              {field(which, 'Greatest number', 'max')}
              {hasPlaces ? (
                <PlaceFields
                  key={draft.length}
                  product={product}
                  length={draft.length}
                  onChange={(changes) => change(which, changes)}
                />
              ) : null}
              <td>
                {products.length > 1 ? (
                  <Button
                    size="sm"
                    variant="outline-dark"
                    aria-label={`Leave out ${product.name}`}
                    onClick={() => {
                      set(products.filter((_, at) => at !== which))
                      setFill(fill + 1)
                    }}
                  >
                    Leave out
                  </Button>
                ) : null}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {products.length < MOST_PRODUCTS ? (
        <Button size="sm" variant="outline-dark" onClick={add}>
          Add a product
        </Button>
      ) : null}
      <div className="knife-fields knife-rules">
        <NumberField
          label={`A kilo of ${scrap.name ?? 'scrap'} is worth, ${currency}`}
          value={scrap.valuePerKg}
          onChange={(valuePerKg) => valuePerKg !== null && onChange({ scrap: { ...scrap, valuePerKg }, lines: [] })}
        />
        <WeightField
          label="At least so much of it is wanted"
          grams={scrap.atLeast ?? null}
          onChange={(atLeast) => onChange({ scrap: { ...scrap, atLeast: atLeast ?? undefined }, lines: [] })}
        />
        <NumberField
          label="No scrap thinner than, mm"
          value={draft.minScrap}
          max={200}
          onChange={(minScrap) => minScrap !== null && onChange({ minScrap, lines: [] })}
        />
        <NumberField
          label="A saw takes, mm"
          value={draft.kerf}
          max={20}
          onChange={(kerf) => kerf !== null && onChange({ kerf, lines: [] })}
        />
        <NumberField
          label="The blade is off square, degrees"
          value={draft.biasAngle}
          max={75}
          onChange={(biasAngle) => biasAngle !== null && onChange({ biasAngle, lines: [] })}
        />
      </div>
    </section>
  )
}
