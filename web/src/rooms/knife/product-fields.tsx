import type { KnifeLines } from '@fleam/core/portioning'
import { type PortionProduct, USUAL_TOGETHER } from '@fleam/core/portioning'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Table from 'react-bootstrap/Table'
import { useKitchen } from '../../data/kitchen-context.ts'
import { LengthField } from '../../parts/length-field.tsx'
import { shapeById } from '../../parts/measured-piece.ts'
import { NumberField } from '../../parts/number-field.tsx'
import { PricePerWeightField } from '../../parts/price-per-weight-field.tsx'
import { useFormat } from '../../parts/use-format.ts'
import { WeightField } from '../../parts/weight-field.tsx'
import knifeCss from './knife.module.css'
import css from './product-fields.module.css'
import { ProductRow } from './product-row.tsx'

interface ProductFieldsProps {
  draft: KnifeLines
  onChange: (changes: Partial<KnifeLines>) => void
}

const MAX_PRODUCTS = 8
const NEW_PRODUCT = { target: 150, low: 135, high: 165, value: 5 } as const

/** What may be cut from it, and what scrap is worth. */
export function ProductFields({ draft, onChange }: ProductFieldsProps) {
  const { products } = draft
  // Places and folds are a fillet's matter: a loin's table stays short.
  const hasPlaces = shapeById(draft.shape).isFillet || products.some((product) => product.within || product.folded)
  // Fields keep what was typed: when a row goes, those below it are filled anew.
  const [fill, setFill] = useState(0)
  const set = (next: PortionProduct[]) => onChange({ products: next, lines: [] })
  const change = (which: number, changes: Partial<PortionProduct>) =>
    set(products.map((product, index) => (index === which ? { ...product, ...changes } : product)))
  const remove = (which: number) => {
    set(products.filter((_, index) => index !== which))
    setFill(fill + 1)
  }
  return (
    <section className="no-print" aria-labelledby="products">
      <h2 id="products">What may be cut from it</h2>
      <Table className={css.knifeProducts} responsive>
        <ProductHeads hasPlaces={hasPlaces} />
        <tbody>
          {products.map((product, which) => (
            <ProductRow
              // biome-ignore lint/suspicious/noArrayIndexKey: products are told by their place while their names are typed
              key={`${fill}-${which}`}
              product={product}
              place={which + 1}
              length={draft.length}
              hasPlaces={hasPlaces}
              onChange={(changes) => change(which, changes)}
              onRemove={products.length > 1 ? () => remove(which) : null}
            />
          ))}
        </tbody>
      </Table>
      {products.length < MAX_PRODUCTS ? (
        <Button
          size="sm"
          variant="outline-dark"
          onClick={() => set([...products, { name: `product ${products.length + 1}`, ...NEW_PRODUCT }])}
        >
          Add a product
        </Button>
      ) : null}
      <CutRules draft={draft} onChange={onChange} />
    </section>
  )
}

/** Columns in groups, in the words of a cook. */
function ProductHeads({ hasPlaces }: { hasPlaces: boolean }) {
  const { currency } = useKitchen()
  const { lengthUnit } = useFormat()
  return (
    <thead>
      <tr className="groups">
        <th scope="col" rowSpan={2}>
          Product
        </th>
        <th scope="colgroup" colSpan={3}>
          How heavy
        </th>
        <th scope="colgroup" colSpan={4}>
          How thick, {lengthUnit}
        </th>
        <th scope="colgroup" colSpan={2}>
          How many
        </th>
        <th scope="col">Worth</th>
        {hasPlaces ? (
          <th scope="colgroup" colSpan={3}>
            Where, {lengthUnit}
          </th>
        ) : null}
        <th scope="col" rowSpan={2}>
          <span className="visually-hidden">Do</span>
        </th>
      </tr>
      <tr>
        <th scope="col">Target</th>
        <th scope="col">from</th>
        <th scope="col">to</th>
        <th scope="col">from</th>
        <th scope="col">to</th>
        <th scope="col">just so</th>
        <th scope="col">face from</th>
        <th scope="col">from</th>
        <th scope="col">to</th>
        <th scope="col">{currency} each</th>
        {hasPlaces ? (
          <>
            <th scope="col">from</th>
            <th scope="col">to</th>
            <th scope="col">folded</th>
          </>
        ) : null}
      </tr>
    </thead>
  )
}

/** What holds for every cut: the scrap, the saw, and the slant of the blade. */
function CutRules({ draft, onChange }: ProductFieldsProps) {
  const { scrap } = draft
  return (
    <div className={`${knifeCss.knifeFields} ${css.knifeRules}`}>
      <PricePerWeightField
        of={`${scrap.name ?? 'scrap'} is worth`}
        perKg={scrap.valuePerKg}
        onChange={(valuePerKg) => valuePerKg !== null && onChange({ scrap: { ...scrap, valuePerKg }, lines: [] })}
      />
      <WeightField
        label="At least so much of it is wanted"
        grams={scrap.atLeast ?? null}
        onChange={(atLeast) => onChange({ scrap: { ...scrap, atLeast: atLeast ?? undefined }, lines: [] })}
      />
      <LengthField
        label="No scrap thinner than"
        mm={draft.minScrap}
        max={200}
        onChange={(minScrap) => minScrap !== null && onChange({ minScrap, lines: [] })}
      />
      <LengthField
        label="Same thickness within"
        hint="for portions of one kind, if it costs almost nothing"
        mm={draft.sameThickness ?? USUAL_TOGETHER.thickness}
        min={1}
        max={200}
        onChange={(sameThickness) => sameThickness !== null && onChange({ sameThickness, lines: [] })}
      />
      <LengthField
        label="A saw takes"
        mm={draft.kerf}
        max={20}
        onChange={(kerf) => kerf !== null && onChange({ kerf, lines: [] })}
      />
      <NumberField
        label="Slant, degrees"
        hint="0 is straight across"
        value={draft.biasAngle}
        max={75}
        onChange={(biasAngle) => biasAngle !== null && onChange({ biasAngle, lines: [] })}
      />
    </div>
  )
}
