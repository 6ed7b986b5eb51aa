import { connect, type Socket } from 'node:net'
import Fastify, { type FastifyInstance } from 'fastify'
import { until } from '../../../tools/processes.ts'
import { openTestApp } from '../../test/harness.ts'
import { sendEvents } from './event-stream.ts'

const soon = { timeoutMs: 10_000, everyMs: 20 }
const portOf = (address: string) => Number(new URL(address).port)

/** A connection that asks for something and reads no answer. */
async function silent(port: number, request: string): Promise<Socket> {
  const socket = connect(port, '127.0.0.1')
  socket.on('error', () => {})
  await new Promise((resolve) => socket.once('connect', resolve))
  socket.pause()
  socket.write(request)
  return socket
}

describe('a stream', () => {
  let app: FastifyInstance
  let port: number
  let sends: ((data: unknown) => void)[]
  let ended: number
  beforeEach(async () => {
    ;[sends, ended] = [[], 0]
    app = Fastify({ forceCloseConnections: true })
    app.get('/stream', (request, reply) =>
      sendEvents(request, reply, (send) => {
        sends.push(send)
        return () => {
          ended++
        }
      }),
    )
    port = portOf(await app.listen({ port: 0, host: '127.0.0.1' }))
  })
  afterEach(() => app.close())

  test('that nobody reads is let go before it grows, and one that is read goes on', async () => {
    const unread = await silent(port, 'GET /stream HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n')
    await until(() => sends.length === 1, soon)
    const reading = await fetch(`http://127.0.0.1:${port}/stream`)
    const reader = reading.body?.getReader() as ReadableStreamDefaultReader<Uint8Array>
    await until(() => sends.length === 2, soon)
    const news = 'x'.repeat(50_000)
    let read = 0
    let sent = 0
    await until(
      async () => {
        for (const send of sends) send(news)
        sent++
        while (read < sent * news.length) read += (await reader.read()).value?.length ?? 0
        return ended === 1
      },
      { ...soon, everyMs: 1 },
    )
    // What lies in the machine's own buffers is a few megabytes; it would have been without an end.
    expect(sent).toBeLessThan(400)
    await reader.cancel()
    unread.destroy()
    await until(() => ended === 2, soon)
  })
})

test('a body that drips is ended, and others are answered meanwhile', async () => {
  const test_ = await openTestApp(null, { patienceMs: 600 })
  const port = portOf(await test_.app.listen({ port: 0, host: '127.0.0.1' }))
  const head = 'POST /api/appraise HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-type: application/json\r\n'
  const socket = await silent(port, `${head}content-length: 100000\r\n\r\n{`)
  let answer = ''
  let isClosed = false
  socket.on('data', (data) => {
    answer += String(data)
  })
  socket.on('close', () => {
    isClosed = true
  })
  socket.resume()
  const drip = setInterval(() => socket.write(' '), 50)
  try {
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200)
    await until(() => isClosed, soon)
    expect(answer).toContain('408')
  } finally {
    clearInterval(drip)
    await test_.close()
  }
})
