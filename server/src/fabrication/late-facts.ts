import type { Scope } from '../scope/index.ts'
import { countLateFacts } from './figures.ts'
import { closedAmong } from './store.ts'

/** What is noted within so long is looked at together. */
const GATHER_MS = 150
/** After a failure, the database being away mostly. */
const RETRY_MS = 1_000

/**
 * Counts what reached records after they were closed, beside the weighings that brought it: no weighing waits for a
 * look at its record, and of a hundred there is one look. What a cut leaves uncounted is counted at the next start.
 */
export class LateFacts {
  readonly #noted = new Map<string, { scope: Scope; ids: Set<string> }>()
  #timer: NodeJS.Timeout | null = null
  #counting: Promise<void> = Promise.resolve()
  #isClosed = false

  /** Says that facts of these records were stored. */
  note(scope: Scope, fabricationIds: readonly string[]): void {
    if (fabricationIds.length === 0) return
    const noted = this.#noted.get(scope.kitchen.id) ?? { scope, ids: new Set() }
    for (const id of fabricationIds) noted.ids.add(id)
    this.#noted.set(scope.kitchen.id, noted)
    this.#countIn(GATHER_MS)
  }

  /** Counts what is noted now, and waits for it. */
  async close(): Promise<void> {
    this.#isClosed = true
    if (this.#timer) clearTimeout(this.#timer)
    await this.#counting
    await this.#count().catch(() => {})
  }

  #countIn(ms: number): void {
    if (this.#isClosed) return
    this.#timer ??= setTimeout(() => {
      this.#timer = null
      this.#counting = this.#counting.then(() => this.#count()).catch(() => this.#countIn(RETRY_MS))
    }, ms)
  }

  async #count(): Promise<void> {
    for (const [kitchenId, { scope, ids }] of [...this.#noted]) {
      this.#noted.delete(kitchenId)
      try {
        await countLateFacts(scope, await closedAmong(scope, [...ids]))
      } catch (error) {
        // Noted again, with what came meanwhile.
        const since = this.#noted.get(kitchenId)?.ids ?? []
        this.#noted.set(kitchenId, { scope, ids: new Set([...ids, ...since]) })
        throw error
      }
    }
  }
}
