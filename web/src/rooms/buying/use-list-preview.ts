import type { PriceMapping } from '@fleam/core/price-lists'
import { useEffect, useMemo, useState } from 'react'
import { useProducts } from '../../data/buying-queries.ts'
import { useKitchen } from '../../data/kitchen-context.ts'
import { useItems } from '../../data/queries.ts'
import { bareUnitOf } from '../../parts/weight-field.tsx'
import { readPriceListAside } from '../../workers/core-client.ts'
import type { PriceListPreview } from '../../workers/price-list-preview.ts'

/** What a file reads as under a mapping, its first rows; read aside, so that the page never waits. */
export function useListPreview(csv: string, mapping: PriceMapping, shown: number): PriceListPreview | null {
  const { currency, units } = useKitchen()
  const items = useItems().data
  const products = useProducts().data
  const [preview, setPreview] = useState<PriceListPreview | null>(null)
  const context = useMemo(
    () =>
      items && products
        ? {
            currency,
            bareUnit: bareUnitOf(units),
            items: new Set(items.map((item) => item.name)),
            products: new Set(products.map((product) => product.name)),
          }
        : null,
    [items, products, currency, units],
  )
  useEffect(() => {
    if (!context) return
    const leaving = new AbortController()
    void readPriceListAside({ csv, mapping, context, shown }, leaving.signal).then(setPreview)
    return () => leaving.abort()
  }, [csv, mapping, context, shown])
  return preview
}
