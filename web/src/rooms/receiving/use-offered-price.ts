import type { Quote } from '@fleam/core/buying'
import { useEffect, useRef } from 'react'
import { useWatch } from 'react-hook-form'
import type { LotFormState } from './use-lot-form.ts'

/**
 * Fills in what the supplier asks for it today, as the price book knows it. Offered once: who clears the field to type
 * another price is not spoken over. What was ordered has the price of its own article.
 */
export function useOfferedPrice(
  { control, getValues, setValue }: LotFormState,
  forms: readonly { articleId: string; supplier: string; quote: Quote | null }[] = [],
  articleId: string | null = null,
): void {
  const supplier = useWatch({ control, name: 'supplier' })
  const offered = useRef<Quote | null>(null)
  const ofSupplier = forms.filter((form) => form.supplier === supplier.trim())
  const quote = (ofSupplier.find((form) => form.articleId === articleId) ?? ofSupplier[0])?.quote
  useEffect(() => {
    if (!quote || offered.current === quote) return
    offered.current = quote
    const { price, extras } = getValues()
    if (price.amount !== null) return
    setValue('price', quote.price)
    setValue('extras', extras ?? quote.delivery)
  }, [quote, getValues, setValue])
}
