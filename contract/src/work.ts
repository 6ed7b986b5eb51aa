import type {
  BondedPlan,
  BondedWish,
  Plating,
  PlatingWish,
  PortionPlan,
  PortionWish,
  RackPlan,
  RackWish,
} from '@fleam/core'

/** What is worked out aside, in the page's worker and beside the server, by name: what is asked and answered. */
export interface Work {
  'portion-plan': { wish: PortionWish; answer: PortionPlan }
  'bonded-plan': { wish: BondedWish; answer: BondedPlan }
  'rack-plan': { wish: RackWish; answer: RackPlan }
  plating: { wish: PlatingWish; answer: Plating }
}
export type WorkName = keyof Work
