export { Compute } from './compute.ts'
export { type PriceListWish, priceListBody } from './read-price-list.ts'
