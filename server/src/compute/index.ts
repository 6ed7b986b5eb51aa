export { Compute } from './compute.ts'
export type { PriceListRequest } from './read-price-list.ts'
