import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import { inlineFile, serve } from '../serve/index.ts'
import * as service from './service.ts'

/** Who does what when in a kitchen: kept, followed, and as a calendar. */
export const kitchenScheduleRoutes = serve(kitchenScheduleOperations, {
  updateSchedule: ({ scope, params, body }) => service.updateSchedule(scope, params.planId, body),
  subscribeSchedule: async ({ scope, params, query }) =>
    inlineFile(await service.calendar(scope, params.planId, query.cook ?? null)),
  listSchedules: ({ scope }) => service.schedulesStanding(scope),
  updateToldTask: ({ scope, params, body }) => service.updateTold(scope, params.planId, body),
  readDaySchedule: ({ scope, query }) => service.daySchedule(scope, query.day ?? null),
  printSchedule: async ({ scope, params, query: { paper = null, cook = null } }) => {
    const lists = await service.lists(scope, params.planId, { paper, cookId: cook })
    // Whoever draws the pages is large, and a start must not wait for it.
    const { listsPdf } = await import('./lists-page.ts')
    return inlineFile(await listsPdf(lists), `schedule-${params.planId}.pdf`)
  },
  readPlanWork: ({ scope, params }) => service.planWork(scope, params.planId),
  updateStyleWork: ({ scope, params, body }) => service.updateStyleWork(scope, params.styleId, body),
})
