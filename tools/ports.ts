import { createServer } from 'node:net'

/** A port on loopback that nobody uses now. */
export function findFreePort(): Promise<number> {
  return listenOnce(0)
}

export function isPortFree(port: number): Promise<boolean> {
  return listenOnce(port).then(
    () => true,
    () => false,
  )
}

function listenOnce(port: number): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer()
    server.once('error', reject)
    server.listen(port, '127.0.0.1', () => {
      const address = server.address()
      server.close(() => resolve(typeof address === 'object' && address !== null ? address.port : port))
    })
  })
}
