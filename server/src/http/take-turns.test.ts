import { connect } from 'node:net'
import Fastify from 'fastify'
import { until } from '../../../tools/processes.ts'
import { takeTurns } from './take-turns.ts'

const soon = { timeoutMs: 5_000, everyMs: 5 }

test('two are worked on at once, in their order, and each is answered', async () => {
  const app = Fastify()
  takeTurns(app, 2)
  const waiting: (() => void)[] = []
  let most = 0
  app.get<{ Params: { id: string } }>('/:id', async ({ params }) => {
    await new Promise<void>((resolve) => {
      waiting.push(resolve)
      most = Math.max(most, waiting.length)
    })
    if (params.id === '3') throw new Error('this one fails')
    return params.id
  })
  const answers = Array.from({ length: 6 }, (_, index) => app.inject({ url: `/${index}` }))
  for (let done = 0; done < 6; done++) {
    await until(() => waiting.length > 0, soon)
    waiting.shift()?.()
    await new Promise((resolve) => setImmediate(resolve))
  }
  const bodies = (await Promise.all(answers)).map(({ statusCode, body }) => (statusCode === 200 ? body : statusCode))
  expect(bodies).toEqual(['0', '1', '2', 500, '4', '5'])
  expect(most).toBe(2)
  await app.close()
})

test('whoever goes away, before or in its turn, holds up nobody', async () => {
  const app = Fastify({ forceCloseConnections: true })
  takeTurns(app, 1)
  const release: (() => void)[] = []
  app.get('/slow', () => new Promise((resolve) => release.push(() => resolve('slow'))))
  app.get('/quick', async () => 'quick')
  const port = Number(new URL(await app.listen({ port: 0, host: '127.0.0.1' })).port)
  const ask = () => {
    const socket = connect(port, '127.0.0.1')
    socket.on('error', () => {})
    socket.write('GET /slow HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n')
    return socket
  }
  const inTurn = ask()
  await until(() => release.length === 1, soon)
  const inLine = ask()
  const quick = fetch(`http://127.0.0.1:${port}/quick`).then((answer) => answer.text())
  await new Promise((resolve) => setTimeout(resolve, 50))
  inLine.destroy()
  inTurn.destroy()
  expect(await quick).toBe('quick')
  for (const end of release) end()
  await app.close()
})
