import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Fastify, { type FastifyInstance } from 'fastify'
import { servePages } from './pages.ts'
import { answerWithProblems } from './problems.ts'

let folder: string
let app: FastifyInstance

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fleam-pages-'))
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Fleam</title>')
  writeFileSync(join(folder, 'assets', 'index-abc123.js'), `export const long = '${'x'.repeat(4000)}'`)
  app = Fastify()
  answerWithProblems(app)
  await servePages(app, folder)
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

for (const path of ['/', '/bench', '/bench/019b76da-a8f2-7000-8003-cbb2874dc7a1', '/verdict/x?y=1']) {
  test(`the page answers for the room at ${path}, and is asked for anew each time`, async () => {
    const response = await app.inject({ url: path })
    expect(response.statusCode).toBe(200)
    expect(response.body).toContain('<title>Fleam</title>')
    expect(response.headers['cache-control']).toBe('no-cache')
    expect(response.headers['content-security-policy']).toContain("default-src 'self'")
  })
}

test('assets are kept for a year and sent compressed', async () => {
  const response = await app.inject({ url: '/assets/index-abc123.js', headers: { 'accept-encoding': 'gzip' } })
  expect(response.headers['cache-control']).toContain('immutable')
  expect(response.headers['content-encoding']).toBe('gzip')
  expect(response.rawPayload.length).toBeLessThan(1000)
})

for (const path of ['/assets/gone.js', '/favicon.ico', '/api/nothing', '/../package.json', '/%2e%2e/package.json']) {
  test(`the page does not answer for ${path}`, async () => {
    const response = await app.inject({ url: path })
    expect(response.statusCode).toBeGreaterThanOrEqual(400)
    expect(response.body).not.toContain('<title>')
  })
}

test('without pages every path is a problem', async () => {
  const bare = Fastify()
  answerWithProblems(bare)
  await servePages(bare, null)
  const response = await bare.inject({ url: '/bench' })
  expect([response.statusCode, response.json().code]).toEqual([404, 'not-found'])
  await bare.close()
})
