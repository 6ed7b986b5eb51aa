import { id, lot, lotPhoto, lotRows, lotTrace } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import type { Clock } from '../fabrication/routes.ts'
import { notFound, refuseOtherId } from '../http/problems.ts'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['receiving']
const LARGEST_PHOTO_BYTES = 1_200_000

/** Deliveries: lots with their cases, checks and pictures, what is in the cold, and what was made of each. */
export function receivingRoutes(app: Server, database: Sequelize, clock: Clock): void {
  const base = '/api/kitchens/:kitchenId/lots'

  const query = z.object({ words: z.string().max(200).default('') })
  app.get(
    base,
    { schema: { tags, params: kitchenParams, querystring: query, response: { 200: lotRows } } },
    (request) => store.lots(database, request.params.kitchenId, request.query.words.trim()),
  )

  app.post(
    base,
    { schema: { tags, params: kitchenParams, body: lot, response: { 201: lot } } },
    async (request, reply) =>
      reply.status(201).send(await service.receive(database, request.params.kitchenId, request.body, clock.now())),
  )

  app.get(`${base}/:id`, { schema: { tags, params: fabricationParams, response: { 200: lotTrace } } }, (request) =>
    service.trace(database, request.params.kitchenId, request.params.id),
  )

  app.put(
    `${base}/:id`,
    { schema: { tags, params: fabricationParams, body: lot, response: { 200: lot } } },
    (request) => {
      refuseOtherId('id', request.body.id, request.params.id)
      return service.change(database, request.params.kitchenId, request.body)
    },
  )

  app.get(`${base}/:id/claim.csv`, { schema: { tags, params: fabricationParams } }, async (request, reply) => {
    reply.type('text/csv; charset=utf-8').header('content-disposition', 'attachment; filename="claim.csv"')
    return service.claimCsv(database, request.params.kitchenId, request.params.id)
  })

  const kept = z.array(z.object({ id, takenAt: z.string() }))
  app.post(
    `${base}/:id/photos`,
    {
      bodyLimit: LARGEST_PHOTO_BYTES,
      schema: { tags, params: fabricationParams, body: lotPhoto, response: { 201: kept } },
    },
    async (request, reply) => {
      const { kitchenId, id: lotId } = request.params
      return reply.status(201).send(await service.keepPhoto(database, kitchenId, lotId, request.body))
    },
  )

  const photoParams = fabricationParams.extend({ photoId: id })
  app.get(`${base}/:id/photos/:photoId`, { schema: { tags, params: photoParams } }, async (request, reply) => {
    const { kitchenId, id: lotId, photoId } = request.params
    const picture = await store.pictureOf(database, kitchenId, lotId, photoId)
    if (!picture) throw notFound('picture')
    return reply.type('image/jpeg').send(picture)
  })
}
