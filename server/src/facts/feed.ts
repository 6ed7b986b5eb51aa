import type { FabricationNews } from '@fleam/contract/facts/schemas'
import type { Fact } from '@fleam/core/facts'
import { type Database, factTable } from '../database/index.ts'
import { arrivedAt, type BenchKey, versionsOf } from './store.ts'

/** What follows one bench is told together, at most this often. */
const FLUSH_MS = 100
/** How often it is looked what other servers of the same database have stored. */
const LOOK_MS = 400
/** How far back each look goes: a commit may come later than the time that its rows bear. */
const WINDOW_SECONDS = 4
/** An id is remembered as told for longer than any look goes back. */
const TOLD_MS = 20_000

/** News of a bench; null says that some may have been missed and the whole is to be fetched. */
export type NewsListener = (news: FabricationNews | null) => void

interface Followed extends BenchKey {
  listeners: Set<NewsListener>
  told: Map<string, number>
  version: number
  waiting: FabricationNews | null
}

const keyOf = ({ kitchenId, fabricationId }: BenchKey) => `${kitchenId} ${fabricationId}`

/**
 * Tells every device at a bench what the others did: at once what this server stored, and within half a
 * second what another server of the same database did. Nothing here matters after a restart: whoever
 * follows fetches the whole first, and facts bear ids, so that hearing one twice changes nothing.
 */
export class FactFeed {
  readonly #database: Database
  readonly #followed = new Map<string, Followed>()
  #look: NodeJS.Timeout | null = null
  #flush: NodeJS.Timeout | null = null
  #lookedAt = 0
  #isClosed = false

  constructor(database: Database) {
    this.#database = database
  }

  /** Calls the listener with news of one bench; returns what ends it. */
  follow(kitchenId: string, fabricationId: string, listener: NewsListener): () => void {
    const key = keyOf({ kitchenId, fabricationId })
    const followed = this.#followed.get(key) ?? {
      kitchenId,
      fabricationId,
      listeners: new Set(),
      told: new Map(),
      version: 0,
      waiting: null,
    }
    followed.listeners.add(listener)
    this.#followed.set(key, followed)
    if (!this.#look) {
      this.#lookedAt = Date.now()
      this.#lookLater()
    }
    return () => {
      followed.listeners.delete(listener)
      if (followed.listeners.size === 0) this.#followed.delete(key)
    }
  }

  /** What this server has just stored for a kitchen. */
  tell(kitchenId: string, facts: readonly Fact[]): void {
    for (const fact of facts) {
      const { fabricationId } = fact
      const followed = fabricationId === null ? undefined : this.#followed.get(keyOf({ kitchenId, fabricationId }))
      if (followed && this.#isNewTo(followed, fact)) this.#waitingOf(followed).facts.push(fact)
    }
    this.#flushSoon()
  }

  close(): void {
    this.#isClosed = true
    if (this.#look) clearTimeout(this.#look)
    if (this.#flush) clearTimeout(this.#flush)
    this.#followed.clear()
  }

  #isNewTo({ told }: Followed, { id }: { id: string }): boolean {
    if (told.has(id)) return false
    told.set(id, Date.now())
    return true
  }

  #waitingOf(followed: Followed): FabricationNews {
    followed.waiting ??= { facts: [], version: followed.version }
    return followed.waiting
  }

  #flushSoon(): void {
    this.#flush ??= setTimeout(() => {
      this.#flush = null
      for (const followed of this.#followed.values()) {
        const { waiting } = followed
        followed.waiting = null
        if (waiting) for (const listener of followed.listeners) listener(waiting)
      }
    }, FLUSH_MS)
  }

  #lookLater(): void {
    this.#look = setTimeout(() => {
      void this.#lookAround().finally(() => {
        this.#look = null
        if (!this.#isClosed && this.#followed.size > 0) this.#lookLater()
      })
    }, LOOK_MS)
  }

  async #lookAround(): Promise<void> {
    const benches = [...this.#followed.values()]
    if (benches.length === 0) return
    try {
      await this.#lookAt(benches)
    } catch {
      // The database is away: the next look that succeeds says that something may have been missed.
      return
    }
    const wasAway = Date.now() - this.#lookedAt > (WINDOW_SECONDS - 1) * 1000
    this.#lookedAt = Date.now()
    if (wasAway) for (const { listeners } of this.#followed.values()) for (const listener of listeners) listener(null)
  }

  async #lookAt(benches: readonly Followed[]): Promise<void> {
    const [rows, versions] = await Promise.all([
      arrivedAt({ database: this.#database }, benches, WINDOW_SECONDS),
      versionsOf({ database: this.#database }, benches),
    ])
    for (const followed of benches) {
      const isOf = (row: { kitchenId: string; fabricationId: string | null }) =>
        row.fabricationId === followed.fabricationId && row.kitchenId === followed.kitchenId
      const fresh = rows.filter((row) => isOf(row) && this.#isNewTo(followed, row))
      const version = versions.find(isOf)?.version ?? followed.version
      if (fresh.length === 0 && version === followed.version) continue
      followed.version = version
      const news = this.#waitingOf(followed)
      news.version = version
      news.facts.push(...fresh.map(factTable.fromRow))
      this.#flushSoon()
      this.#forgetOld(followed)
    }
  }

  #forgetOld({ told }: Followed): void {
    const before = Date.now() - TOLD_MS
    for (const [id, at] of told) {
      if (at > before) break
      told.delete(id)
    }
  }
}
