import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { appraise } from '@fleam/core/appraisal'
import { pilesCsv } from '@fleam/core/csv'
import { savedFile, savedJson, serve } from '../serve/index.ts'
import * as service from './service.ts'

export const fabricationRoutes = serve(fabricationOperations, {
  listFabrications: ({ scope, query }) => service.latest(scope, query.limit),
  readFabrication: ({ scope, params }) => service.requireState(scope, params.fabricationId),
  updateFabrication: ({ scope, params, body }) => service.change(scope, params.fabricationId, body),
  listVersions: ({ scope, params }) => service.versions(scope, params.fabricationId),
  readJudgement: ({ scope, params }) => service.judgement(scope, params.fabricationId),
  exportDocument: async ({ scope, params }) =>
    savedJson(`fabrication-${params.fabricationId}.json`, await service.requireDocument(scope, params.fabricationId)),
  readAppraisal: async ({ scope, params }) => {
    const document = await service.requireDocument(scope, params.fabricationId)
    return savedJson(`appraisal-${params.fabricationId}.json`, appraise(document))
  },
  exportPiles: async ({ scope, params }) => {
    const document = await service.requireDocument(scope, params.fabricationId)
    return savedFile(`piles-${params.fabricationId}.csv`, pilesCsv(document))
  },
})
