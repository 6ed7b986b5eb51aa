import type { PriceMapping } from '@fleam/contract'

/** A file that was chosen, as text. */
export interface ChosenList {
  name: string
  csv: string
  encoding: string
  headers: string[]
  mapping: PriceMapping
}
