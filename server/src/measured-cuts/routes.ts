import { measuredCut, measuredCuts } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { refuseOtherId, refuseTaken } from '../http/problems.ts'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'
import * as store from './store.ts'

const tags = ['portioning']
const PATH = '/api/kitchens/:kitchenId/measured-cuts'

/** Portions that were planned and weighed: from them a kitchen learns how far off each way of measuring is. */
export function measuredCutRoutes(app: Server, database: Sequelize): void {
  app.get(PATH, { schema: { tags, params: kitchenParams, response: { 200: measuredCuts } } }, async (request) => {
    await requireKitchen(database, request.params.kitchenId)
    return store.latestCuts(database, request.params.kitchenId)
  })

  app.put(
    `${PATH}/:id`,
    { schema: { tags, params: fabricationParams, body: measuredCut, response: { 200: measuredCut } } },
    async (request) => {
      const { kitchenId, id } = request.params
      refuseOtherId('id', request.body.id, id)
      await requireKitchen(database, kitchenId)
      const known = await store.cutById(database, kitchenId, id)
      if (known) return known
      await refuseTaken('id', 'This id stands for another portion.', () =>
        store.insertCut(database, kitchenId, request.body),
      )
      return request.body
    },
  )

  app.delete(
    `${PATH}/:id`,
    { schema: { tags, params: fabricationParams, response: { 200: measuredCuts } } },
    async (request) => {
      await store.removeCut(database, request.params.kitchenId, request.params.id)
      return store.latestCuts(database, request.params.kitchenId)
    },
  )
}
