import fastifyStatic from '@fastify/static'
import type { FastifyInstance } from 'fastify'
import { sendNotFound } from './problems.ts'

const YEAR_MS = 365 * 24 * 3600 * 1000

/**
 * Serves the built pages: assets by their hashed names for a year, and the one page for every room's
 * path. A missing asset or API path is never answered by the page.
 */
export async function servePages(app: FastifyInstance, folder: string | null): Promise<void> {
  if (folder !== null) {
    await app.register(fastifyStatic, {
      root: folder,
      cacheControl: false,
      setHeaders: (response, path) => {
        const isHashed = path.includes('/assets/')
        response.setHeader('cache-control', isHashed ? `public, max-age=${YEAR_MS / 1000}, immutable` : 'no-cache')
      },
    })
  }
  app.setNotFoundHandler((request, reply) => {
    const path = request.url.split('?')[0] as string
    const isRoom = !path.startsWith('/api') && !path.slice(path.lastIndexOf('/')).includes('.')
    if (folder !== null && request.method === 'GET' && isRoom) return reply.sendFile('index.html')
    return sendNotFound(reply, path)
  })
}
