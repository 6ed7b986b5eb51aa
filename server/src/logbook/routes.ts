import { Readable } from 'node:stream'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import { recountAll } from '../fabrication/index.ts'
import { tellSteps } from '../http/index.ts'
import { inlineFile, savedFile, serve } from '../serve/index.ts'
import { chart } from './chart.ts'
import { doubts } from './doubts.ts'
import { logbookFileOf } from './export.ts'
import { curve, learning } from './learning.ts'
import { period } from './period/period.ts'
import { seasons } from './seasons.ts'
import * as service from './service.ts'
import { turns } from './turns.ts'

/** What many records say. */
export const logbookRoutes = serve(logbookOperations, {
  summariseLogbook: ({ scope, query }) => service.summary(scope, query),
  listLogbook: ({ scope, query }) => service.records(scope, query),
  exportLogbook: async ({ scope, query }) => {
    const ids = await service.exportIds(scope, query)
    return savedFile('logbook.json', Readable.from(logbookFileOf(scope, ids)))
  },
  listChanges: ({ scope }) => service.changes(scope),
  listDoubts: ({ scope }) => doubts(scope),
  readChart: ({ scope, query }) => chart(scope, query),
  listLearning: ({ scope, query }) => learning(scope, query),
  readCurve: ({ scope, query }) => curve(scope, query),
  listSeasons: ({ scope, query }) => seasons(scope, query),
  listTurns: ({ scope, query }) => turns(scope, query),
  readPeriod: async ({ scope, query: { from, to } }) =>
    inlineFile(await period(scope, { from, to }), `logbook-${from}-${to}.pdf`),
  recountLogbook: ({ scope, reply }) =>
    tellSteps(reply, async (steps) => ({ records: await recountAll(scope, steps) })),
})
