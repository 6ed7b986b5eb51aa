export { Compute } from './compute.ts'
export { type PriceListRequest, priceListBody } from './read-price-list.ts'
