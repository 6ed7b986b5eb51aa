import type { FabricationNews, ReadingsSent } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { number, select, text } from '../database/rows.ts'
import { markFromRow, moveFromRow, readingFromRow, voidFromRow } from './rows.ts'
import { FACT_TABLES } from './store.ts'

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

interface Followed {
  kitchenId: string
  listeners: Set<NewsListener>
  told: Map<string, number>
  version: number
  waiting: FabricationNews | null
}

const nothing = (version: number): FabricationNews => ({ readings: [], voids: [], moves: [], marks: [], version })

/**
 * Tells every device at a bench what the others did: at once what this server stored, and within half a
 * second what another server of the same database did. Nothing here matters after a restart: whoever
 * follows fetches the whole first, and facts bear ids, so that hearing one twice changes nothing.
 */
export class FabricationFeed {
  readonly #database: Sequelize
  readonly #followed = new Map<string, Followed>()
  #look: NodeJS.Timeout | null = null
  #flush: NodeJS.Timeout | null = null
  #lookedAt = 0
  #isClosed = false

  constructor(database: Sequelize) {
    this.#database = database
  }

  /** Calls the listener with news of one bench; returns what ends it. */
  follow(kitchenId: string, fabricationId: string, listener: NewsListener): () => void {
    const followed = this.#followed.get(fabricationId) ?? {
      kitchenId,
      listeners: new Set(),
      told: new Map(),
      version: 0,
      waiting: null,
    }
    followed.listeners.add(listener)
    this.#followed.set(fabricationId, followed)
    if (!this.#look) {
      this.#lookedAt = Date.now()
      this.#lookLater()
    }
    return () => {
      followed.listeners.delete(listener)
      if (followed.listeners.size === 0) this.#followed.delete(fabricationId)
    }
  }

  /** What this server has just stored. */
  tell(fabricationId: string, sent: ReadingsSent): void {
    const followed = this.#followed.get(fabricationId)
    if (!followed) return
    const isNew = this.#newTo(followed)
    const news = this.#waitingOf(followed)
    news.readings.push(...sent.readings.filter(isNew))
    news.voids.push(...sent.voids.filter(isNew))
    news.moves.push(...sent.moves.filter(isNew))
    news.marks.push(...sent.marks.filter(isNew))
    this.#flushSoon()
  }

  close(): void {
    this.#isClosed = true
    if (this.#look) clearTimeout(this.#look)
    if (this.#flush) clearTimeout(this.#flush)
    this.#followed.clear()
  }

  #newTo({ told }: Followed): (fact: { id: string }) => boolean {
    const now = Date.now()
    return ({ id }) => {
      if (told.has(id)) return false
      told.set(id, now)
      return true
    }
  }

  #waitingOf(followed: Followed): FabricationNews {
    followed.waiting ??= nothing(followed.version)
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
    const ids = [...this.#followed.keys()]
    if (ids.length === 0) return
    try {
      await this.#lookAt(ids)
    } catch {
      // The database is away: the next look that succeeds says that something may have been missed.
      return
    }
    const wasAway = Date.now() - this.#lookedAt > (WINDOW_SECONDS - 1) * 1000
    this.#lookedAt = Date.now()
    if (wasAway) for (const { listeners } of this.#followed.values()) for (const listener of listeners) listener(null)
  }

  async #lookAt(ids: readonly string[]): Promise<void> {
    const arrived = (table: string) =>
      select(
        this.#database,
        `SELECT * FROM ${table} WHERE fabrication_id IN (:ids) AND received_at >= NOW(3) - INTERVAL ${WINDOW_SECONDS} SECOND`,
        { ids },
      )
    const [readings, voids, moves, marks, versions] = await Promise.all([
      arrived(FACT_TABLES.readings),
      arrived(FACT_TABLES.voids),
      arrived(FACT_TABLES.moves),
      arrived(FACT_TABLES.marks),
      select(this.#database, 'SELECT id, version FROM fabrications WHERE id IN (:ids)', { ids }),
    ])
    for (const [id, followed] of this.#followed) {
      const isNew = this.#newTo(followed)
      const own = <T extends { id: string }>(rows: typeof readings, fromRow: (row: (typeof rows)[number]) => T) =>
        rows
          .filter((row) => row.fabrication_id === id && row.kitchen_id === followed.kitchenId)
          .map(fromRow)
          .filter(isNew)
      const row = versions.find((each) => text(each.id) === id)
      const version = row ? number(row.version) : followed.version
      const facts = {
        readings: own(readings, readingFromRow),
        voids: own(voids, voidFromRow),
        moves: own(moves, moveFromRow),
        marks: own(marks, markFromRow),
      }
      const count = Object.values(facts).reduce((sum, list) => sum + list.length, 0)
      if (count === 0 && version === followed.version) continue
      followed.version = version
      const news = this.#waitingOf(followed)
      news.version = version
      news.readings.push(...facts.readings)
      news.voids.push(...facts.voids)
      news.moves.push(...facts.moves)
      news.marks.push(...facts.marks)
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
