import type { StyleFile } from '@fleam/core/style'

/** Says that a style came without the prices of its file, and why; null where it brought them, or had none. */
export function pricesLeftOut({ currency, style }: StyleFile, own: string): string | null {
  const prices = [
    ...style.piles.flatMap((pile) => [pile.valuePerKg, pile.processingPerKg]),
    ...style.consumables.map((consumable) => consumable.costPerUnit),
  ]
  if (currency === own || prices.every((price) => price === null)) return null
  const why =
    currency === undefined
      ? 'the file does not say which currency they are in'
      : `they are in ${currency}, and this kitchen counts in ${own}`
  return `Its prices were left out: ${why}.`
}
