import { type Fact, nextOrder } from '@fleam/core/facts'
import type { OutboxEntry } from './entry.ts'
import type { OutboxStore } from './store.ts'

/** One of what was sent that will never be stored, by its place, with the reason. */
export interface RefusedOne {
  at: number
  reason: string
}

/**
 * How an attempt to send ended: stored but for those that are refused for good, to be tried again, or refused as a
 * whole with a reason.
 */
export type SendResult =
  | { kind: 'stored'; refused?: readonly RefusedOne[] }
  | { kind: 'away' }
  | { kind: 'refused'; reason: string }
export type Send = (kitchenId: string, facts: readonly Fact[]) => Promise<SendResult>

export interface OutboxTimers {
  /** Calls back once after a while; returns what stops it. */
  after: (ms: number, callback: () => void) => () => void
}

export interface OutboxState {
  /** Being written on this device: what a crash would lose, and so nothing that anybody is told was taken. */
  writing: readonly OutboxEntry[]
  /** Kept on this device and not yet stored by the server, in the order of the work. */
  waiting: readonly OutboxEntry[]
  /** Sent and stored by this device in the last day: shown also where the server's own list is out of reach. */
  stored: readonly OutboxEntry[]
  refused: readonly { entry: OutboxEntry; reason: string }[]
}

export interface OutboxOptions {
  store: OutboxStore
  send: Send
  timers: OutboxTimers
  /** The time, milliseconds since 1970. */
  nowMs?: () => number
  onStored?: (entries: readonly OutboxEntry[]) => void
  /** How long the store may take to write, ms. */
  writeMs?: number
}

/** True where something was done within so many ms; false where it failed, or is still under way. */
function inTime(doing: Promise<unknown>, ms: number): Promise<boolean> {
  return new Promise((resolve) => {
    const timer = setTimeout(() => resolve(false), ms)
    const end = (isDone: boolean) => {
      clearTimeout(timer)
      resolve(isDone)
    }
    doing.then(
      () => end(true),
      () => end(false),
    )
  })
}

const FIRST_RETRY_MS = 500
const LONGEST_RETRY_MS = 8_000
const MAX_AT_ONCE = 200
/** A store that has not answered by then may never answer: the weighing is shown, and said not to be written. */
const LONGEST_WRITE_MS = 3_000
/** How long a device remembers what it sent: a page that opens without a network shows it again. */
const REMEMBERED_MS = 24 * 3600 * 1000

/**
 * Keeps everything that is done at a bench on the device first, then sends it, in order, until the server has stored
 * it. What was stored is never sent again in vain, and sending twice changes nothing: ids are the device's.
 */
export class Outbox {
  readonly #options: OutboxOptions
  readonly #listeners = new Set<() => void>()
  #state: OutboxState = { writing: [], waiting: [], stored: [], refused: [] }
  #isSending = false
  #retryMs = FIRST_RETRY_MS
  #stopTimer: (() => void) | null = null
  #nextOrder = 1

  constructor(options: OutboxOptions) {
    this.#options = options
  }

  readonly subscribe = (listener: () => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  readonly state = () => this.#state

  /** The place of a new fact in the order of the work, after everything that this device knows. */
  takeOrder(known: readonly Pick<Fact, 'order'>[] = []): number {
    const order = Math.max(this.#nextOrder, nextOrder(known))
    this.#nextOrder = nextOrder([{ order }])
    return order
  }

  /** Takes up what an earlier page left behind. */
  async open(): Promise<void> {
    const left = await this.#options.store.all()
    this.#see(left)
    const { writing, waiting, stored } = this.#state
    const ids = new Set([...writing, ...waiting, ...stored].map((entry) => entry.id))
    const fresh = left.filter((entry) => !ids.has(entry.id))
    const isOld = ({ storedAtMs }: OutboxEntry) =>
      storedAtMs !== undefined && storedAtMs < this.#nowMs() - REMEMBERED_MS
    this.#change({
      waiting: [...fresh.filter((entry) => entry.storedAtMs === undefined), ...this.#state.waiting],
      stored: [...fresh.filter((entry) => entry.storedAtMs !== undefined && !isOld(entry)), ...this.#state.stored],
    })
    const old = left.filter(isOld).map((entry) => entry.id)
    if (old.length > 0) await this.#options.store.remove(old).catch(() => {})
    void this.flush()
  }

  /**
   * Keeps what was done, all or nothing: it waits, and may be shown as done, once it is written on this device; sent
   * after that. False where the device cannot write, or not in time: it must at least try to send, and nobody waits.
   */
  async keep(kitchenId: string, ...facts: readonly Fact[]): Promise<boolean> {
    const entries = facts.map((fact): OutboxEntry => ({ id: fact.id, kitchenId, fact }))
    this.#see(entries)
    this.#change({ writing: [...this.#state.writing, ...entries] })
    const isWritten = await inTime(this.#options.store.put(entries), this.#writeMs)
    this.#change({
      writing: this.#state.writing.filter((entry) => !entries.includes(entry)),
      waiting: [...this.#state.waiting, ...entries],
    })
    void this.flush()
    return isWritten
  }

  /** Sends what waits, oldest first. */
  async flush(): Promise<void> {
    if (this.#isSending) return
    this.#isSending = true
    this.#stopTimer?.()
    try {
      for (let batch = this.#nextBatch(); batch.length > 0; batch = this.#nextBatch()) {
        if (!(await this.#sendBatch(batch))) {
          this.#retryLater()
          return
        }
      }
    } finally {
      this.#isSending = false
    }
  }

  /** The user has seen a refusal and lets it go. */
  async dismiss(id: string): Promise<void> {
    await this.#options.store.remove([id])
    this.#change({ refused: this.#state.refused.filter((refusal) => refusal.entry.id !== id) })
  }

  #see(entries: readonly OutboxEntry[]): void {
    this.#nextOrder = Math.max(this.#nextOrder, nextOrder(entries.map(({ fact }) => fact)))
  }

  get #writeMs(): number {
    return this.#options.writeMs ?? LONGEST_WRITE_MS
  }

  #nowMs(): number {
    return (this.#options.nowMs ?? Date.now)()
  }

  #nextBatch(): OutboxEntry[] {
    const [first] = this.#state.waiting
    if (!first) return []
    return this.#state.waiting.filter((entry) => entry.kitchenId === first.kitchenId).slice(0, MAX_AT_ONCE)
  }

  /** False where the server is away and the batch must wait. */
  async #sendBatch(batch: OutboxEntry[]): Promise<boolean> {
    const [first] = batch as [OutboxEntry]
    const result = await this.#options.send(
      first.kitchenId,
      batch.map(({ fact }) => fact),
    )
    if (result.kind === 'away') return false
    this.#retryMs = FIRST_RETRY_MS
    if (result.kind === 'refused' && batch.length > 1) {
      // The list could not be read: what is at fault in it must not hold up the others.
      for (const entry of batch) if (!(await this.#sendBatch([entry]))) return false
      return true
    }
    const refusals = result.kind === 'refused' ? [{ at: 0, reason: result.reason }] : (result.refused ?? [])
    const refused = refusals.flatMap(({ at, reason }) => {
      const entry = batch[at]
      return entry ? [{ entry, reason }] : []
    })
    const stored = batch
      .filter((entry) => !refused.some((refusal) => refusal.entry.id === entry.id))
      .map((entry) => ({ ...entry, storedAtMs: this.#nowMs() }))
    const ids = batch.map((entry) => entry.id)
    this.#change({
      waiting: this.#state.waiting.filter((entry) => !ids.includes(entry.id)),
      refused: [...this.#state.refused, ...refused],
      stored: [...this.#state.stored, ...stored],
    })
    if (stored.length === 0) return true
    await inTime(this.#options.store.put(stored), this.#writeMs)
    this.#options.onStored?.(stored)
    return true
  }

  #retryLater(): void {
    this.#stopTimer = this.#options.timers.after(this.#retryMs, () => void this.flush())
    this.#retryMs = Math.min(this.#retryMs * 2, LONGEST_RETRY_MS)
  }

  #change(change: Partial<OutboxState>): void {
    this.#state = { ...this.#state, ...change }
    for (const listener of this.#listeners) listener()
  }
}
