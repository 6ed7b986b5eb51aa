import { expectedLine, keptSchedule, plan, plannedFabrication, toldTask } from '@fleam/core/plans'
import { styleWork } from '@fleam/core/scheduling'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'
import type { SupplierModel } from './buying.ts'
import type { LotModel } from './receiving.ts'
import type { StyleModel } from './style.ts'

/** Plans; what was accepted stands with what it was made of, as it was then. */
export const orderPlanTable = table('order_plans', plan.omit({ told: true, accepted: true, schedule: true }), {
  adds: {
    acceptedAt: z.iso.datetime().nullable(),
    accepted: plan.shape.accepted.unwrap().pick({ draft: true, goods: true, answer: true }).nullable(),
    /** Who does what when, as it was last made or moved. */
    schedule: keptSchedule.nullable(),
  },
})
export type OrderPlanModel = ModelOf<typeof orderPlanTable>

const position = z.int()

/** Lines of orders that are expected. */
export const expectedLineTable = table(
  'expected_lines',
  expectedLine.omit({ plan: true, supplier: true, lots: true }),
  { adds: { position } },
)
export type ExpectedLineModel = ModelOf<
  typeof expectedLineTable,
  { plan: OrderPlanModel; supplier: SupplierModel; lots: LotModel[] }
>

export const plannedFabricationTable = table(
  'planned_fabrications',
  plannedFabrication.omit({ plan: true, style: true, item: true, itemId: true, real: true, begins: true }),
  { adds: { position } },
)
export type PlannedFabricationModel = ModelOf<
  typeof plannedFabricationTable,
  { plan: OrderPlanModel; style: StyleModel }
>

/** What hands told of tasks, as the schedule of their plan calls them. */
export const toldTaskTable = table('told_tasks', toldTask, {
  adds: { planId: z.uuid() },
  key: ['kitchenId', 'planId', 'taskId'],
})

/** What styles take before and after the board, where the kitchen said it. */
export const styleWorkTable = table('style_work', z.object({ styleId: z.uuid(), work: styleWork }), {
  key: ['kitchenId', 'styleId'],
})
