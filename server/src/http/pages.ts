import compress from '@fastify/compress'
import helmet from '@fastify/helmet'
import fastifyStatic from '@fastify/static'
import type { FastifyInstance } from 'fastify'
import { sendNotFound } from './problems.ts'
import { PAGE_POLICY } from './security.ts'

const YEAR_SECONDS = 365 * 24 * 3600

/**
 * Serves the built pages: assets by their hashed names for a year, and the one page for every room's
 * path. A missing asset or API path is never answered by the page.
 */
export async function servePages(app: FastifyInstance, folder: string | null): Promise<void> {
  await app.register(async (scope) => {
    if (folder === null) return
    await scope.register(helmet, { contentSecurityPolicy: { directives: PAGE_POLICY }, strictTransportSecurity: false })
    await scope.register(compress)
    await scope.register(fastifyStatic, {
      root: folder,
      wildcard: false,
      cacheControl: false,
      setHeaders: (response, path) => {
        const isHashed = path.includes('/assets/')
        response.setHeader('cache-control', isHashed ? `public, max-age=${YEAR_SECONDS}, immutable` : 'no-cache')
      },
    })
    scope.get('/*', (request, reply) => {
      const path = request.params as { '*': string }
      return isRoom(path['*']) ? reply.sendFile('index.html') : sendNotFound(reply, `/${path['*']}`)
    })
  })
  app.setNotFoundHandler((request, reply) => sendNotFound(reply, request.url.split('?')[0] as string))
}

/** Paths of rooms have no file name at their end and are not the API's. */
const isRoom = (path: string) => !path.startsWith('api') && !path.slice(path.lastIndexOf('/') + 1).includes('.')
