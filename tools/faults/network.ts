import { connect, createServer, type Server, type Socket } from 'node:net'

/** A network between devices and the server that can be cut, or lose what comes back. */
export class Network {
  readonly #server: Server
  readonly #sockets = new Set<Socket>()
  #isCut = false
  #losesAnswers = false

  private constructor(to: number) {
    this.#server = createServer((device) => {
      if (this.#isCut) return void device.destroy()
      const server = connect(to, '127.0.0.1')
      for (const socket of [device, server]) {
        this.#sockets.add(socket)
        socket.on('error', () => {})
        socket.on('close', () => {
          this.#sockets.delete(socket)
          device.destroy()
          server.destroy()
        })
      }
      device.pipe(server)
      server.on('data', (answer) => {
        // The server has stored it, and the device never hears of it.
        if (this.#losesAnswers) device.destroy()
        else device.write(answer)
      })
    })
  }

  static async open(to: number): Promise<Network> {
    const network = new Network(to)
    await new Promise<void>((resolve) => network.#server.listen(0, '127.0.0.1', resolve))
    return network
  }

  get url(): string {
    return `http://127.0.0.1:${(this.#server.address() as { port: number }).port}`
  }

  /** Ends every connection, and takes no new one until it is mended. */
  cut(): void {
    this.#isCut = true
    for (const socket of this.#sockets) socket.destroy()
  }

  loseAnswers(): void {
    this.#losesAnswers = true
  }

  mend(): void {
    this.#isCut = false
    this.#losesAnswers = false
  }

  close(): void {
    this.cut()
    this.#server.close()
  }
}
