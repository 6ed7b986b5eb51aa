import { createServer, type Socket } from 'node:net'
import { formatScaleLine } from '@fleam/contract/scale/scale-line'

export interface Emitter {
  port: number
  /** Sends one settled reading to whoever listens, and returns when that was, in milliseconds since the epoch. */
  emit: (grams: number) => number
  close: () => void
}

export const epochMs = () => performance.timeOrigin + performance.now()

/** A scale that shows exactly what it is told, when it is told. */
export async function startEmitter(): Promise<Emitter> {
  const sockets = new Set<Socket>()
  let last = ''
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.setNoDelay(true)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => socket.destroy())
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const write = () => {
    for (const socket of sockets) socket.write(last)
  }
  // The server takes silence for a dead line, so the last reading is repeated.
  const repeating = setInterval(write, 1_000)
  return {
    port: (server.address() as { port: number }).port,
    emit: (grams) => {
      last = `${formatScaleLine({ weight: grams, unit: 'g', state: 'stable', tare: 0, device: 'bench', standIn: true, decimals: 0 })}\n`
      const at = epochMs()
      write()
      return at
    },
    close: () => {
      clearInterval(repeating)
      for (const socket of sockets) socket.destroy()
      server.close()
    },
  }
}
