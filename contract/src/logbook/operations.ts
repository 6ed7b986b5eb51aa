import { z } from 'zod'
import { file, operations, steps } from '../operation.ts'
import {
  curveQuery,
  logbookCurve,
  logbookFilters,
  logbookLearning,
  logbookSeasons,
  logbookTurns,
  logbookView,
  logbookViews,
  periodQuery,
} from './findings.ts'
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
} from './schemas.ts'

export const logbookViewOperations = operations('logbook', {
  listLogbookViews: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/views',
    summary: 'Views of the logbook that are kept under a name',
    answer: logbookViews,
  },
  createLogbookView: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/logbook/views',
    summary: 'Keeps a view of the logbook; one of a name that is there takes its place',
    body: logbookView,
    answer: logbookViews,
    status: 201,
    refuses: ['id-taken'],
  },
  deleteLogbookView: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/logbook/views/:viewId',
    summary: 'Forgets a view of the logbook',
    answer: logbookViews,
  },
})

export const logbookOperations = operations('logbook', {
  summariseLogbook: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/summary',
    summary: 'Yields, minutes and money of the records that count, by a grouping and in all',
    query: summaryQuery,
    answer: logbookSummary,
  },
  listLogbook: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/records',
    summary: 'Closed records with what each comes to, filtered, sorted, page by page',
    query: recordsQuery,
    answer: logbookPage,
  },
  exportLogbook: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/records.json',
    summary: 'Records as one file, which the logbook takes in again',
    query: logbookExportQuery,
    answer: file('application/json'),
  },
  listChanges: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/changes',
    summary: 'What is not what it was: the last four weeks against the twelve before',
    answer: logbookChanges,
  },
  listDoubts: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/doubts',
    summary: 'Records that cannot be right, each with its reason, newest first',
    answer: logbookDoubts,
  },
  readChart: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/chart',
    summary: 'Yields of one item and style in the order of their days, for a control chart',
    query: chartQuery,
    answer: logbookSeries,
  },
  listLearning: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/learning',
    summary: 'Where more practice would pay, and which cooks are improving',
    query: logbookFilters,
    answer: logbookLearning,
  },
  readCurve: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/curve',
    summary: 'Yields and minutes of a cook by her own repetition number, with the fitted curve',
    query: curveQuery,
    answer: logbookCurve,
  },
  listSeasons: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/seasons',
    summary: 'Piles that go up and down with the year',
    query: logbookFilters,
    answer: logbookSeasons,
  },
  listTurns: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/turns',
    summary: 'When making or buying became the cheaper way, and weeks that lost far more than others',
    query: logbookFilters,
    answer: logbookTurns,
  },
  readPeriod: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/logbook/period.pdf',
    summary: 'A span of days as one page of PDF: what it brought, lost where, what changed, doubts left',
    query: periodQuery,
    answer: file('application/pdf'),
  },
  recountLogbook: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/logbook/recount',
    summary: 'Makes the figures that are kept beside records anew, and tells step by step how far it is',
    answer: steps(z.object({ records: z.number() })),
    refuses: ['cancelled'],
  },
})
