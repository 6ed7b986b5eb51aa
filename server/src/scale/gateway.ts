import { connect, type Socket } from 'node:net'
import { createInterface } from 'node:readline'
import { LONGEST_LINE, parseScaleLine, type ScaleReading, type ScaleStatus } from '@fleam/contract/scale/scale-line'
import { Refusal } from '../http/index.ts'

const RECONNECT_MS = 500
/** A scale sends several lines a second: silence this long means that the line is dead. */
const SILENCE_MS = 3_000

export type ScaleListener = (status: ScaleStatus) => void

/**
 * Reads one networked scale and hands its readings to every listener. It connects again by itself
 * when the line drops. Without an address there is no scale, and weights are typed.
 */
export class ScaleGateway {
  readonly #address: string | null
  readonly #listeners = new Set<ScaleListener>()
  #socket: Socket | null = null
  #retry: NodeJS.Timeout | null = null
  #reading: ScaleReading | null = null
  #isClosed = false

  /** `address` is `host:port`, or null where the kitchen has no networked scale. */
  constructor(address: string | null) {
    this.#address = address
    if (address !== null) this.#open(address)
  }

  get status(): ScaleStatus {
    return { connected: this.#reading !== null, address: this.#address, reading: this.#reading }
  }

  /** Calls the listener with every change; returns what ends it. */
  subscribe(listener: ScaleListener): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  /** Sends a command line to the scale. Throws `scale-away` where none answers. */
  send(line: string): void {
    if (!this.#socket || this.#reading === null)
      throw new Refusal('scale-away', 'Type the weight, or look at the cable.')
    this.#socket.write(`${line}\n`)
  }

  close(): void {
    this.#isClosed = true
    if (this.#retry) clearTimeout(this.#retry)
    this.#socket?.destroy()
    this.#listeners.clear()
  }

  #open(address: string): void {
    const at = address.lastIndexOf(':')
    const socket = connect({ host: address.slice(0, at), port: Number(address.slice(at + 1)) })
    this.#socket = socket
    socket.setNoDelay(true)
    socket.setTimeout(SILENCE_MS, () => socket.destroy())
    socket.on('error', () => socket.destroy())
    socket.on('close', () => {
      this.#socket = null
      this.#tell(null)
      if (!this.#isClosed) this.#retry = setTimeout(() => this.#open(address), RECONNECT_MS)
    })
    // What has no end would be gathered for ever: such a line is cut, and the scale is asked anew.
    let unended = 0
    socket.on('data', (chunk: Buffer) => {
      const end = chunk.lastIndexOf('\n')
      unended = end < 0 ? unended + chunk.length : chunk.length - end - 1
      if (unended > LONGEST_LINE) socket.destroy()
    })
    createInterface({ input: socket })
      .on('line', (line) => {
        const reading = parseScaleLine(line)
        if (reading) this.#tell(reading)
      })
      // It repeats the socket's error, which is dealt with above; unheard, it would end the server.
      .on('error', () => {})
  }

  #tell(reading: ScaleReading | null): void {
    const before = JSON.stringify(this.#reading)
    this.#reading = reading
    if (JSON.stringify(reading) === before) return
    for (const listener of this.#listeners) listener(this.status)
  }
}
