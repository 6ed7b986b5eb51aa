import { createServer, type Server, type Socket } from 'node:net'
import { createInterface } from 'node:readline'
import { formatScaleLine } from '@fleam/contract/scale/scale-line'
import { BenchScale, type BenchScaleOptions, KITCHEN_BENCH_SCALE } from './bench-scale.ts'

const LINES_A_SECOND = 25
const LOAD = /^put (\d{1,6}(?:\.\d{1,3})?)$/

export interface ScaleServerOptions {
  port: number
  name: string
  scale?: BenchScaleOptions
}

/**
 * The stand-in for a networked bench scale: speaks the line protocol of docs/formats.md on loopback.
 * Commands: `tare`, `zero`, and for the stand-in alone `put GRAMS` and `lift`.
 */
export function startScaleServer({ port, name, scale: options = KITCHEN_BENCH_SCALE }: ScaleServerOptions): Server {
  const scale = new BenchScale(options, Math.random)
  const sockets = new Set<Socket>()
  const obey = (command: string) => {
    const now = Date.now()
    const load = LOAD.exec(command)
    if (load) scale.put(Number(load[1]), now)
    else if (command === 'lift') scale.put(0, now)
    else if (command === 'tare') scale.tare(now)
    else if (command === 'zero') scale.zero(now)
  }
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.setNoDelay(true)
    socket.on('error', () => socket.destroy())
    socket.on('close', () => sockets.delete(socket))
    createInterface({ input: socket })
      .on('line', (line) => obey(line.trim()))
      // It repeats the socket's error; unheard, a client that breaks off would end the scale.
      .on('error', () => {})
  })
  const ticking = setInterval(() => {
    const { weight, state, tare } = scale.read(Date.now())
    const line = formatScaleLine({ weight, unit: 'g', state, tare, device: name, standIn: true, decimals: 1 })
    for (const socket of sockets) socket.write(`${line}\n`)
  }, 1000 / LINES_A_SECOND)
  server.on('close', () => clearInterval(ticking))
  server.listen(port, '127.0.0.1')
  return server
}
