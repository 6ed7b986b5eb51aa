import { createServer, type Server, type Socket } from 'node:net'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { ScaleStatus } from '@fleam/contract/scale/scale-line'
import { startScaleServer } from '@fleam/devices'
import { v7 as newId } from 'uuid'
import { findFreePort } from '../../../tools/ports.ts'
import { until } from '../../../tools/processes.ts'
import { openTestApp, send, setUpKitchen, startSixChickens, type TestApp } from '../../test/harness.ts'
import { ScaleGateway } from './gateway.ts'

const soon = { timeoutMs: 5_000, everyMs: 10 }

describe('with the simulated scale', () => {
  let server: Server
  let test_: TestApp
  let kitchen: Kitchen
  let bench: FabricationState
  const path = () => `/api/kitchens/${kitchen.id}/fabrications/${bench.record.id}`
  const command = (word: string, at = path()) => send(test_, 'POST', `${at}/scale-commands`, { command: word })
  const status = async (): Promise<ScaleStatus> => (await send(test_, 'GET', '/api/scale')).body

  beforeAll(async () => {
    const port = await findFreePort()
    server = startScaleServer({ port, name: 'bench' })
    test_ = await openTestApp(`127.0.0.1:${port}`)
    kitchen = await setUpKitchen(test_)
    bench = await startSixChickens(test_, kitchen)
    await until(async () => (await status()).connected, soon)
  })
  afterAll(async () => {
    await test_.close()
    server.close()
  })

  test('what is put on settles to its weight, and tare takes the container off', async () => {
    await send(test_, 'POST', '/api/scale/stand-in', { grams: 400 })
    await until(async () => isAt(await status(), 400), soon)
    await command('tare')
    await until(async () => isAt(await status(), 0), soon)
    expect((await status()).reading?.tareGrams).toBe(400)
    await send(test_, 'POST', '/api/scale/stand-in', { grams: 681 })
    await until(async () => isAt(await status(), 281), soon)
    await command('zero')
  })

  test('streams every change as a server-sent event', async () => {
    await test_.app.listen({ port: 0, host: '127.0.0.1' })
    const { port } = test_.app.server.address() as { port: number }
    const aborter = new AbortController()
    const response = await fetch(`http://127.0.0.1:${port}/api/scale/stream`, { signal: aborter.signal })
    expect(response.headers.get('content-type')).toBe('text/event-stream')
    await send(test_, 'POST', '/api/scale/stand-in', { grams: 1234 })
    const events: ScaleStatus[] = []
    const reader = (response.body as ReadableStream<Uint8Array>).getReader()
    const decoder = new TextDecoder()
    while (!events.some((event) => isAt(event, 1234))) {
      const { value } = await reader.read()
      for (const line of decoder.decode(value).split('\n')) {
        if (line.startsWith('data: ')) events.push(JSON.parse(line.slice(6)))
      }
    }
    expect(events.some((event) => event.reading?.state === 'moving')).toBe(true)
    aborter.abort()
  })

  test('obeys a bench where weighing goes on, and nobody else', async () => {
    const nowhere = `/api/kitchens/${kitchen.id}/fabrications/${newId()}`
    const stranger = await setUpKitchen(test_, 'Stranger')
    const theirs = `/api/kitchens/${stranger.id}/fabrications/${bench.record.id}`
    for (const at of [nowhere, theirs]) expect((await command('tare', at)).status).toBe(404)
    await send(test_, 'PUT', path(), editOf(bench.record, { status: 'closed' }))
    const refused = await command('tare')
    expect([refused.status, refused.body.issues[0].path]).toEqual([400, 'id'])
  })

  test('refuses a load that is not one', async () => {
    const { status: code, body } = await send(test_, 'POST', '/api/scale/stand-in', { grams: -1 })
    expect([code, body.issues[0].path]).toEqual([400, 'grams'])
  })
})

const isAt = (status: ScaleStatus, grams: number) =>
  status.reading?.state === 'stable' && Math.abs(status.reading.grams - grams) <= 1

describe('the gateway', () => {
  test('connects again when the line drops, and says so meanwhile', async () => {
    const port = await findFreePort()
    const sockets: Socket[] = []
    const listen = () =>
      createServer((socket) => {
        sockets.push(socket)
        socket.on('error', () => {})
        socket.write('noise\nweight=1.5 unit=kg state=stable tare=0 device=real\n')
      }).listen(port, '127.0.0.1')
    let server = listen()
    const gateway = new ScaleGateway(`127.0.0.1:${port}`)
    await until(() => gateway.status.connected, soon)
    expect(gateway.status.reading).toEqual({
      grams: 1500,
      tareGrams: 0,
      state: 'stable',
      device: 'real',
      simulated: false,
    })

    server.close()
    for (const socket of sockets) socket.destroy()
    await until(() => !gateway.status.connected, soon)
    expect(() => gateway.send('tare')).toThrow()
    server = listen()
    await until(() => gateway.status.connected, soon)
    gateway.close()
    server.close()
    for (const socket of sockets) socket.destroy()
  })

  test('outlives a scale that breaks off in the middle of a line', async () => {
    const port = await findFreePort()
    let broken = 0
    const server = createServer((socket) => {
      socket.on('error', () => {})
      socket.write('weight=2 unit=kg state=sta')
      setTimeout(() => {
        broken++
        socket.resetAndDestroy()
      }, 50)
    }).listen(port, '127.0.0.1')
    const gateway = new ScaleGateway(`127.0.0.1:${port}`)
    await until(() => broken >= 2, soon)
    expect(gateway.status).toMatchObject({ connected: false, reading: null })
    gateway.close()
    server.close()
  })

  test('cuts a line that has no end, and asks anew', async () => {
    const port = await findFreePort()
    let opened = 0
    const sockets = new Set<Socket>()
    const server = createServer((socket) => {
      opened++
      sockets.add(socket)
      socket.on('error', () => {})
      const drip = () => !socket.destroyed && socket.write('9'.repeat(4096), () => setImmediate(drip))
      if (opened === 1) drip()
      else socket.write('weight=281 unit=g state=stable\nweight=999999999 unit=kg state=stable\n')
    }).listen(port, '127.0.0.1')
    const gateway = new ScaleGateway(`127.0.0.1:${port}`)
    await until(() => gateway.status.reading?.state === 'over', { timeoutMs: 5_000, everyMs: 20 })
    expect(opened).toBe(2)
    gateway.close()
    server.close()
    for (const socket of sockets) socket.destroy()
  })

  test('without a scale, weights are typed and commands refused', async () => {
    const test_ = await openTestApp()
    expect((await send(test_, 'GET', '/api/scale')).body).toEqual({ connected: false, address: null, reading: null })
    const kitchen = await setUpKitchen(test_)
    const { record } = await startSixChickens(test_, kitchen)
    const at = `/api/kitchens/${kitchen.id}/fabrications/${record.id}/scale-commands`
    const { status, body } = await send(test_, 'POST', at, { command: 'tare' })
    expect([status, body.code]).toEqual([503, 'scale-away'])
    await test_.close()
  })
})
