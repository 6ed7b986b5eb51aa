import { readFileSync } from 'node:fs'

/** What a plan of the demo is made of and how it was answered: names in place of ids, days from its first one. */
export interface ShippedPlan {
  name: string
  goods: unknown
  answer: unknown
  schedule: unknown
}

/**
 * The accepted plans of the demo as they ship, so that a first start asks no solver. They are made anew with
 * `npm run demo-plans`, and a test asks the solver whether they still are the best.
 */
export const shippedPlans = (): ShippedPlan[] =>
  JSON.parse(readFileSync(new URL('./shipped-plans.json', import.meta.url), 'utf8'))
