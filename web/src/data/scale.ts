import { addressOf } from '@fleam/contract/client'
import { scaleOperations } from '@fleam/contract/scale/operations'
import type { ScaleStatus } from '@fleam/contract/scale/scale-line'
import { useSyncExternalStore } from 'react'
import { call } from './api.ts'
import { streamWhileSeen } from './seen-stream.ts'

const { followScale, commandScale, loadStandIn: putOnStandIn } = scaleOperations

const AWAY: ScaleStatus = { connected: false, address: null, reading: null }

/** One stream of scale readings for the whole page, open while somebody looks. */
class ScaleStream {
  #status = AWAY
  #stop: (() => void) | null = null
  readonly #listeners = new Set<() => void>()

  readonly subscribe = (listener: () => void) => {
    this.#listeners.add(listener)
    this.#stop ??= streamWhileSeen(() => this.#open())
    return () => {
      this.#listeners.delete(listener)
      if (this.#listeners.size > 0) return
      this.#stop?.()
      this.#stop = null
      // What lies there while nobody looks is not known.
      this.#status = AWAY
    }
  }

  readonly status = () => this.#status

  /** The browser opens the stream again by itself after a cut; until then the scale counts as away. */
  #open(): EventSource {
    const source = new EventSource(addressOf(followScale, {}))
    source.onmessage = (event) => this.#tell(JSON.parse(event.data as string) as ScaleStatus)
    source.onerror = () => this.#tell({ ...AWAY, address: this.#status.address })
    return source
  }

  #tell(status: ScaleStatus): void {
    this.#status = status
    for (const listener of this.#listeners) listener()
  }
}

const stream = new ScaleStream()

export const useScale = (): ScaleStatus => useSyncExternalStore(stream.subscribe, stream.status)

/** Tares the scale from a bench where weighing goes on. */
export const tareScale = (bench: { kitchenId: string; fabricationId: string }) =>
  call(commandScale, { ...bench, body: { command: 'tare' } })

/** Puts a load on the simulated scale; 0 lifts it off. */
export const loadStandIn = (grams: number) => call(putOnStandIn, { body: { grams } })
