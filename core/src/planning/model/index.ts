import type { OrderPlanRequest, PlanPin } from '../order-plan.ts'
import { addCuts } from './cutting.ts'
import { Draft } from './draft.ts'
import { addCold, addLeft } from './left-and-cold.ts'
import { addPins } from './pins.ts'
import type { PlanModel } from './plan-model.ts'
import { addOrderRules, addReady, addServing, addStock, addWholes } from './supplies.ts'

export type { PlanModel, ProductSupply, WholeSupply } from './plan-model.ts'

/** The plan as a mixed-integer programme: what may be decided, and what holds between it. */
export function modelOf(request: OrderPlanRequest, pins: readonly PlanPin[] = []): PlanModel {
  const draft = new Draft(request)
  addWholes(draft)
  const cuts = addCuts(draft)
  const ready = addReady(draft)
  addStock(draft)
  addOrderRules(draft)
  addServing(draft)
  const left = addLeft(draft)
  addCold(draft)
  const { programme, wholes, products, orders, demands } = draft
  const decided = { programme, wholes, products, cuts, ready, orders, demands, left }
  addPins(decided, { pins, days: request.days })
  return { ...decided, ...draft.objectives() }
}
