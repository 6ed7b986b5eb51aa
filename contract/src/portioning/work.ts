import type { Plating, PlatingRequest } from '@fleam/core/plating'
import type {
  BondedPlan,
  BondedRequest,
  PortionPlan,
  PortionRequest,
  RackPlan,
  RackRequest,
} from '@fleam/core/portioning'

/** What is worked out aside, in the page's worker and beside the server, by name: what is asked and answered. */
export interface Work {
  'portion-plan': { input: PortionRequest; answer: PortionPlan }
  'bonded-plan': { input: BondedRequest; answer: BondedPlan }
  'rack-plan': { input: RackRequest; answer: RackPlan }
  plating: { input: PlatingRequest; answer: Plating }
}
export type WorkName = keyof Work
