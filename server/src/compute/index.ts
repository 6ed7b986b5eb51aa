export { Compute } from './compute.ts'
export { type PriceListRead, type PriceListWish, priceListBody } from './read-price-list.ts'
