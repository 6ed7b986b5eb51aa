import type { CutStyle, Species } from '../style/index.ts'

/** What planned work reads of an item of a kitchen and of its styles. */
export interface PlanItem {
  id: string
  name: string
  species: Species
  unitName: { one: string; many: string }
  /** Grams of one unit. */
  unitWeight: { usual: number }
  styles: readonly PlanStyle[]
}
export type PlanStyle = CutStyle & { id: string }
