import { id } from '@fleam/contract/numbers'
import { lot, lotEdit, lotPhoto, lotRows, lotTrace } from '@fleam/contract/receiving'
import { z } from 'zod'
import { fabricationParams, kitchenParams, notFound, refuseOtherId, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['receiving']
const LARGEST_PHOTO_BYTES = 1_200_000

/** Deliveries: lots with their cases, checks and pictures, what is in the cold, and what was made of each. */
export function receivingRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId/lots'

  const query = z.object({ words: z.string().max(200).default('') })
  app.get(
    base,
    {
      schema: {
        operationId: 'listLots',
        summary: 'Deliveries, and what is left of each',
        tags,
        params: kitchenParams,
        querystring: query,
        response: { 200: lotRows },
      },
    },
    async (request) => store.lots(await scopeOf(request), request.query.words.trim()),
  )

  app.post(
    base,
    {
      schema: {
        operationId: 'receiveLot',
        summary: 'Takes in a delivery',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: lotEdit,
        response: { 201: lot },
      },
    },
    async (request, reply) => reply.status(201).send(await service.receive(await scopeOf(request), request.body)),
  )

  app.get(
    `${base}/:id`,
    {
      schema: {
        operationId: 'readLot',
        summary: 'A lot, and what was made of it',
        tags,
        params: fabricationParams,
        response: { 200: lotTrace },
      },
    },
    async (request) => service.trace(await scopeOf(request), request.params.id),
  )

  app.put(
    `${base}/:id`,
    {
      schema: {
        operationId: 'updateLot',
        summary: 'Changes a lot, at the version that was read',
        refuses: ['stale-version', 'id-taken'],
        tags,
        params: fabricationParams,
        body: lotEdit,
        response: { 200: lot },
      },
    },
    async (request) => {
      refuseOtherId('id', request.body.id, request.params.id)
      return service.change(await scopeOf(request), request.body)
    },
  )

  app.get(
    `${base}/:id/claim.csv`,
    {
      schema: {
        operationId: 'exportClaim',
        summary: 'What a supplier owes for a lot, as CSV',
        mediaType: 'text/csv',
        tags,
        params: fabricationParams,
      },
    },
    async (request, reply) => {
      reply.type('text/csv; charset=utf-8').header('content-disposition', 'attachment; filename="claim.csv"')
      return service.claimCsv(await scopeOf(request), request.params.id)
    },
  )

  app.get(
    `${base}/:id/claim.pdf`,
    {
      schema: {
        operationId: 'printClaim',
        summary: 'What a supplier owes for a lot, as a letter in PDF',
        mediaType: 'application/pdf',
        tags,
        params: fabricationParams,
      },
    },
    async (request, reply) => {
      const papers = await service.claimPapers(await scopeOf(request), request.params.id)
      // Whoever draws the page is large, and a start must not wait for it.
      const { claimPdf } = await import('./claim-page.ts')
      return reply
        .header('content-disposition', `inline; filename="claim-${request.params.id}.pdf"`)
        .type('application/pdf')
        .send(await claimPdf(papers))
    },
  )

  const kept = z.array(z.object({ id, takenAt: z.string() }))
  app.post(
    `${base}/:id/photos`,
    {
      bodyLimit: LARGEST_PHOTO_BYTES,
      schema: {
        operationId: 'createPhoto',
        summary: 'Keeps a picture of a lot',
        refuses: ['id-taken'],
        tags,
        params: fabricationParams,
        body: lotPhoto,
        response: { 201: kept },
      },
    },
    async (request, reply) => {
      const { id: lotId } = request.params
      return reply.status(201).send(await service.createPhoto(await scopeOf(request), lotId, request.body))
    },
  )

  const photoParams = fabricationParams.extend({ photoId: id })
  app.get(
    `${base}/:id/photos/:photoId`,
    {
      schema: {
        operationId: 'readPhoto',
        summary: 'A picture of a lot',
        mediaType: 'image/jpeg',
        tags,
        params: photoParams,
      },
    },
    async (request, reply) => {
      const { id: lotId, photoId } = request.params
      const picture = await store.pictureOf(await scopeOf(request), lotId, photoId)
      if (!picture) throw notFound('picture')
      return reply.type('image/jpeg').send(picture)
    },
  )
}
