import { Readable } from 'node:stream'
import {
  chartQuery,
  logbookChanges,
  logbookDoubts,
  logbookExportQuery,
  logbookPage,
  logbookSeries,
  logbookSummary,
  recordsQuery,
  summaryQuery,
} from '@fleam/contract/logbook'
import {
  curveQuery,
  logbookCurve,
  logbookFilters,
  logbookLearning,
  logbookSeasons,
  logbookTurns,
  periodQuery,
} from '@fleam/contract/logbook-findings'
import { recountAll } from '../fabrication/index.ts'
import { kitchenParams, type Server, tellSteps } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { chart } from './chart.ts'
import { doubts } from './doubts.ts'
import { logbookFileOf } from './export.ts'
import { curve, learning } from './learning.ts'
import { period } from './period/period.ts'
import { seasons } from './seasons.ts'
import * as service from './service.ts'
import { turns } from './turns.ts'
import { logbookViewRoutes } from './views/routes.ts'

const tags = ['logbook']

/** What many records say. */
export function logbookRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId/logbook'
  logbookViewRoutes(app, scopeOf)

  app.get(
    `${base}/summary`,
    {
      schema: {
        operationId: 'summariseLogbook',
        summary: 'Yields, minutes and money of the records that count, by a grouping and in all',
        tags,
        params: kitchenParams,
        querystring: summaryQuery,
        response: { 200: logbookSummary },
      },
    },
    async (request) => service.summary(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/records`,
    {
      schema: {
        operationId: 'listLogbook',
        summary: 'Closed records with what each comes to, filtered, sorted, page by page',
        tags,
        params: kitchenParams,
        querystring: recordsQuery,
        response: { 200: logbookPage },
      },
    },
    async (request) => service.records(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/records.json`,
    {
      schema: {
        operationId: 'exportLogbook',
        summary: 'Records as one file, which the logbook takes in again',
        mediaType: 'application/json',
        tags,
        params: kitchenParams,
        querystring: logbookExportQuery,
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      const ids = await service.exportIds(scope, request.query)
      return reply
        .header('content-disposition', 'attachment; filename="logbook.json"')
        .type('application/json')
        .send(Readable.from(logbookFileOf(scope, ids)))
    },
  )

  app.get(
    `${base}/changes`,
    {
      schema: {
        operationId: 'listChanges',
        summary: 'What is not what it was: the last four weeks against the twelve before',
        tags,
        params: kitchenParams,
        response: { 200: logbookChanges },
      },
    },
    async (request) => service.changes(await scopeOf(request)),
  )

  app.get(
    `${base}/doubts`,
    {
      schema: {
        operationId: 'listDoubts',
        summary: 'Records that cannot be right, each with its reason, newest first',
        tags,
        params: kitchenParams,
        response: { 200: logbookDoubts },
      },
    },
    async (request) => doubts(await scopeOf(request)),
  )

  app.get(
    `${base}/chart`,
    {
      schema: {
        operationId: 'readChart',
        summary: 'Yields of one item and style in the order of their days, for a control chart',
        tags,
        params: kitchenParams,
        querystring: chartQuery,
        response: { 200: logbookSeries },
      },
    },
    async (request) => chart(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/learning`,
    {
      schema: {
        operationId: 'listLearning',
        summary: 'Where more practice would pay, and which cooks are improving',
        tags,
        params: kitchenParams,
        querystring: logbookFilters,
        response: { 200: logbookLearning },
      },
    },
    async (request) => learning(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/curve`,
    {
      schema: {
        operationId: 'readCurve',
        summary: 'Yields and minutes of a cook by her own repetition number, with the fitted curve',
        tags,
        params: kitchenParams,
        querystring: curveQuery,
        response: { 200: logbookCurve },
      },
    },
    async (request) => curve(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/seasons`,
    {
      schema: {
        operationId: 'listSeasons',
        summary: 'Piles that go up and down with the year',
        tags,
        params: kitchenParams,
        querystring: logbookFilters,
        response: { 200: logbookSeasons },
      },
    },
    async (request) => seasons(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/turns`,
    {
      schema: {
        operationId: 'listTurns',
        summary: 'When making or buying became the cheaper way, and weeks that lost far more than others',
        tags,
        params: kitchenParams,
        querystring: logbookFilters,
        response: { 200: logbookTurns },
      },
    },
    async (request) => turns(await scopeOf(request), request.query),
  )

  app.get(
    `${base}/period.pdf`,
    {
      schema: {
        operationId: 'readPeriod',
        summary: 'A span of days as one page of PDF: what it brought, lost where, what changed, doubts left',
        mediaType: 'application/pdf',
        tags,
        params: kitchenParams,
        querystring: periodQuery,
      },
    },
    async (request, reply) => {
      const { from, to } = request.query
      const pdf = await period(await scopeOf(request), { from, to })
      return reply
        .header('content-disposition', `inline; filename="logbook-${from}-${to}.pdf"`)
        .type('application/pdf')
        .send(pdf)
    },
  )

  app.post(
    `${base}/recount`,
    {
      schema: {
        operationId: 'recountLogbook',
        summary: 'Makes the figures that are kept beside records anew, and tells step by step how far it is',
        refuses: ['cancelled'],
        mediaType: 'application/x-ndjson',
        tags,
        params: kitchenParams,
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      return tellSteps(reply, async (steps) => ({ records: await recountAll(scope, steps) }))
    },
  )
}
