import { MessageChannel, type MessagePort } from 'node:worker_threads'

const opened: MessagePort[] = []

class ClosableChannel extends MessageChannel {
  constructor() {
    super()
    opened.push(this.port1, this.port2)
  }
}

/** Channels for tests of workers, which the test's documents lack; closed after the last test, so that it ends. */
Object.assign(globalThis, { MessageChannel: ClosableChannel })
afterAll(() => {
  for (const port of opened) port.close()
})

export const openChannel = () => new ClosableChannel()
