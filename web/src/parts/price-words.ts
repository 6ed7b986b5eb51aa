import type { Order, Quote } from '@fleam/core/buying'
import type { Price } from '@fleam/core/fabrication'
import type { Estimate } from '@fleam/core/forecasting'
import type { Format } from './use-format.ts'

export const PER_WORDS = { kg: 'a kilo', lb: 'a pound', piece: 'a piece', case: 'a case', lot: 'a lot' } as const

export const priceWords = (price: Price, format: Format) => `${format.money(price.amount)} ${PER_WORDS[price.per]}`

/** The price as it was quoted, with what is in a pack. */
export function quoteWords(quote: Quote, format: Format): string {
  const isPack = quote.price.per === 'case' || quote.price.per === 'lot'
  const pack = !isPack
    ? ''
    : quote.packPieces !== null
      ? ` of ${quote.packPieces}`
      : quote.packWeight !== null
        ? ` of ${format.weight(quote.packWeight)}`
        : ''
  return `${priceWords(quote.price, format)}${pack}`
}

export const BASIS_WORDS: Readonly<Record<Estimate['basis'], string>> = {
  own: 'our own',
  blended: 'blended',
  assumed: 'assumed',
}

/** Whose figure an estimate is: `our own, 5 tests`. */
export const basisWords = ({ basis, tests }: Estimate) =>
  tests === 0 ? BASIS_WORDS[basis] : `${BASIS_WORDS[basis]}, ${tests} ${tests === 1 ? 'test' : 'tests'}`

export function orderWords(order: Order, format: Format): string {
  const pieces = Math.round(order.pieces)
  const packs = order.packs === null ? '' : `, ${order.packs} ${order.packs === 1 ? 'pack' : 'packs'}`
  return `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}${packs}, ${format.weight(order.weight)}`
}
