import type { Product } from '@fleam/contract/buying/schemas'
import { compareForms } from '@fleam/core/buying'
import { useMemo, useState } from 'react'
import { Link } from 'react-router-dom'
import { useForms, useProducts } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { readSetting, writeSetting } from '../../data/settings.ts'
import { BuyingRoom } from '../../parts/buying-room.tsx'
import { NumberField } from '../../parts/number-field.tsx'
import { SearchChoice } from '../../parts/search-choice.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { WeightField } from '../../parts/weight-field.tsx'
import { Ranking } from './ranking.tsx'

/** What a kilo, and a plate, of one product really costs from every supplier and in every form. */
export function Component() {
  const products = useProducts()
  if (products.data) return <Compare products={products.data} />
  return (
    <BuyingRoom title="True cost">
      {products.isError ? (
        <Failed error={products.error} retry={() => void products.refetch()} />
      ) : (
        <Loading what="the products" />
      )}
    </BuyingRoom>
  )
}

/** A product, and in how many forms it can be had. */
const nameOf = ({ name, forms }: Product) => (forms > 0 ? `${name} (${forms})` : name)

const SETTING = 'compared-product'
const USUAL_PLATES = 60
const USUAL_PLATE_GRAMS = 200

function Compare({ products }: { products: Product[] }) {
  const { wagePerHour, currency, lightPlates } = useKitchen()
  const [id, setId] = useState(() => {
    const last = readSetting(SETTING)
    return products.some((product) => product.id === last) && last ? last : (products[0]?.id ?? '')
  })
  const product = products.find((product) => product.id === id) ?? products[0]
  const [plates, setPlates] = useState<number | null>(USUAL_PLATES)
  const [plateWeight, setPlateWeight] = useState<number | null>(null)
  const [wage, setWage] = useState<number | null>(wagePerHour)
  const forms = useForms(id)
  const usual = product?.plateWeight ?? USUAL_PLATE_GRAMS
  const request = useMemo(
    () => ({
      product: product?.pile ?? '',
      plates: Math.max(1, plates ?? USUAL_PLATES),
      plateWeight: plateWeight ?? usual,
      lightPlates,
      wagePerHour: wage ?? wagePerHour,
      currency,
    }),
    [product, plates, plateWeight, usual, lightPlates, wage, wagePerHour, currency],
  )
  const comparison = useMemo(() => compareForms(forms.data ?? [], request), [forms.data, request])
  const choose = (next: string) => {
    writeSetting(SETTING, next)
    setId(next)
    setPlateWeight(null)
  }
  return (
    <BuyingRoom title="True cost">
      <div className="question">
        <SearchChoice
          label="Product"
          choices={products.map((product) => ({ id: product.id, name: nameOf(product) }))}
          value={id}
          onChoose={choose}
        />
        <NumberField
          label="Plates wanted"
          value={plates}
          onChange={setPlates}
          min={1}
          hint="delivery and packs are spread over them"
        />
        <WeightField key={id} label="On one plate" grams={plateWeight ?? usual} onChange={setPlateWeight} />
        <NumberField label={`Wage, ${currency} an hour`} value={wage} onChange={setWage} />
      </div>
      {forms.isError ? <Failed error={forms.error} retry={() => void forms.refetch()} /> : null}
      {forms.isPending ? <Loading what="the prices" /> : null}
      {forms.data && forms.data.length === 0 ? (
        <Empty title="No supplier has a price for it yet">
          <p>
            <Link to="/buying/lists">Import a price list</Link>, or <Link to="/buying/prices">add a price</Link> of
            something that is cut into it or of pieces that are bought ready.
          </p>
        </Empty>
      ) : null}
      {comparison.ranked.length > 0 || comparison.left.length > 0 ? (
        <Ranking comparison={comparison} request={request} />
      ) : null}
    </BuyingRoom>
  )
}
