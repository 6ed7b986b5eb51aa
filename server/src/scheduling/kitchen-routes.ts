import {
  daySchedule,
  scheduleEdit,
  schedulesStanding,
  stylesWork,
  styleWork,
  toldTask,
} from '@fleam/contract/kept-schedule'
import { day, id } from '@fleam/contract/numbers'
import { plan } from '@fleam/contract/planning'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'

const tags = ['planning']
const BASE = '/api/kitchens/:kitchenId'

/** Who does what when in a kitchen: kept, followed, and as a calendar. */
export function kitchenScheduleRoutes(app: Server, scopeOf: Scopes): void {
  app.put(
    `${BASE}/plans/:id/schedule`,
    {
      schema: {
        operationId: 'updateSchedule',
        summary: 'Keeps who does what when for an accepted plan',
        refuses: ['stale-version'],
        tags,
        params: fabricationParams,
        body: scheduleEdit,
        response: { 200: plan },
      },
    },
    async (request) => service.updateSchedule(await scopeOf(request), request.params.id, request.body),
  )

  app.get(
    `${BASE}/plans/:id/schedule.ics`,
    {
      schema: {
        operationId: 'subscribeSchedule',
        summary: 'The tasks of a cook, or of all, as a calendar to subscribe to',
        mediaType: 'text/calendar',
        tags,
        params: fabricationParams,
        querystring: z.strictObject({ cook: id.optional() }),
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      const calendar = await service.calendar(scope, request.params.id, request.query.cook ?? null)
      return reply.type('text/calendar; charset=utf-8').send(calendar)
    },
  )

  app.get(
    `${BASE}/schedules`,
    {
      schema: {
        operationId: 'listSchedules',
        summary: 'How the schedules of plans stand that are not over',
        tags,
        params: kitchenParams,
        response: { 200: schedulesStanding },
      },
    },
    async (request) => service.schedulesStanding(await scopeOf(request)),
  )

  app.put(
    `${BASE}/plans/:id/told`,
    {
      schema: {
        operationId: 'updateToldTask',
        summary: 'Says that a task of a schedule has begun, is done, or waits after all',
        tags,
        params: fabricationParams,
        body: toldTask,
        response: { 200: plan },
      },
    },
    async (request) => service.updateTold(await scopeOf(request), request.params.id, request.body),
  )

  app.get(
    `${BASE}/day-schedule`,
    {
      schema: {
        operationId: 'readDaySchedule',
        summary: 'The tasks of a day of every accepted plan, where they really are; today where no day is said',
        tags,
        params: kitchenParams,
        querystring: z.strictObject({ day: day.optional() }),
        response: { 200: daySchedule },
      },
    },
    async (request) => service.daySchedule(await scopeOf(request), request.query.day ?? null),
  )

  app.get(
    `${BASE}/plans/:id/schedule.pdf`,
    {
      schema: {
        operationId: 'printSchedule',
        summary: 'Prep list, a list for each cook and set-up lists on paper; or the list of one cook',
        mediaType: 'application/pdf',
        tags,
        params: fabricationParams,
        querystring: z.strictObject({ paper: z.enum(['A4', 'LETTER']).optional(), cook: id.optional() }),
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      const { paper = null, cook = null } = request.query
      const lists = await service.lists(scope, request.params.id, { paper, cookId: cook })
      // Whoever draws the pages is large, and a start must not wait for it.
      const { listsPdf } = await import('./lists-page.ts')
      return reply
        .header('content-disposition', `inline; filename="schedule-${request.params.id}.pdf"`)
        .type('application/pdf')
        .send(await listsPdf(lists))
    },
  )

  workRoutes(app, scopeOf)
}

/** What styles take before and after the board. */
function workRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    `${BASE}/plans/:id/work`,
    {
      schema: {
        operationId: 'readPlanWork',
        summary: 'What the styles of a plan take before and after the board, and minutes of a unit by cooks',
        tags,
        params: fabricationParams,
        response: { 200: stylesWork },
      },
    },
    async (request) => service.planWork(await scopeOf(request), request.params.id),
  )

  app.put(
    `${BASE}/styles/:id/work`,
    {
      schema: {
        operationId: 'updateStyleWork',
        summary: 'Says what a style takes before and after the board',
        tags,
        params: fabricationParams,
        body: styleWork,
        response: { 200: styleWork },
      },
    },
    async (request) => service.updateStyleWork(await scopeOf(request), request.params.id, request.body),
  )
}
