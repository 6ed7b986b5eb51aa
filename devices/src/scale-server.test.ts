import { connect, type Socket } from 'node:net'
import { createInterface } from 'node:readline'
import { parseScaleLine, type ScaleReading } from '@fleam/contract/scale/scale-line'
import { startScaleServer } from './scale-server.ts'

let server: ReturnType<typeof startScaleServer>
let socket: Socket
let lines: AsyncIterator<string>

beforeAll(async () => {
  server = startScaleServer({ port: 0, name: 'stand' })
  await new Promise((resolve) => server.once('listening', resolve))
  socket = connect((server.address() as { port: number }).port, '127.0.0.1')
  lines = createInterface({ input: socket })[Symbol.asyncIterator]()
})
afterAll(() => {
  socket.destroy()
  server.close()
})

/** The first reading that fits. */
async function readingThat(fits: (reading: ScaleReading) => boolean): Promise<ScaleReading> {
  for (;;) {
    const reading = parseScaleLine((await lines.next()).value)
    if (reading && fits(reading)) return reading
  }
}

test('every line is a whole reading of a stand-in', async () => {
  const reading = await readingThat(() => true)
  expect(reading).toMatchObject({ device: 'stand', simulated: true, grams: 0 })
})

test('put, tare and lift do what hands do', async () => {
  socket.write('put 150\n')
  await readingThat((reading) => reading.state === 'stable' && reading.grams === 150)
  socket.write('tare\n')
  expect(await readingThat((reading) => reading.grams === 0)).toMatchObject({ tareGrams: 150 })
  socket.write('put 431\n')
  await readingThat((reading) => reading.state === 'stable' && reading.grams === 281)
  socket.write('lift\n')
  await readingThat((reading) => reading.grams === -150)
  socket.write('zero\n')
  await readingThat((reading) => reading.grams === 0 && reading.tareGrams === 0)
})

test('a client that breaks off leaves the scale to the others', async () => {
  const other = connect((server.address() as { port: number }).port, '127.0.0.1')
  await new Promise((resolve) => other.once('data', resolve))
  other.resetAndDestroy()
  await readingThat(() => true)
  socket.write('put 90\n')
  expect((await readingThat((reading) => reading.grams === 90)).state).toBeDefined()
  socket.write('lift\n')
  await readingThat((reading) => reading.grams === 0)
})

test('noise on the wire changes nothing', async () => {
  socket.write('put\nput -5\nput 1e9\n\u0000\nself-destruct\n')
  const reading = await readingThat(() => true)
  expect(reading.grams).toBe(0)
})
