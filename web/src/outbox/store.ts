import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { OutboxEntry } from './entry.ts'
import { factOfOldEntry, type OldEntry } from './old-entries.ts'

interface OutboxSchema extends DBSchema {
  facts: { key: string; value: OutboxEntry }
}
interface OldSchema extends DBSchema {
  entries: { key: string; value: OldEntry }
}

/** Entries on this device; they outlive reloads and crashes. */
export interface OutboxStore {
  put: (entries: readonly OutboxEntry[]) => Promise<void>
  remove: (ids: readonly string[]) => Promise<void>
  all: () => Promise<OutboxEntry[]>
}

/** The outbox in the browser's own database. Keys are time-ordered ids, so `all` is in the order of the work. */
export function openOutboxStore(name = 'fleam-outbox'): OutboxStore {
  let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null
  const database = () => {
    opened ??= openDB<OutboxSchema>(name, 2, {
      upgrade: async (fresh, before, _after, transaction) => {
        const facts = fresh.createObjectStore('facts', { keyPath: 'id' })
        if (before !== 1) return
        // What the version before kept here is carried over in the same step, all or nothing.
        const old = (transaction as unknown as { objectStore: (name: 'entries') => OldStore }).objectStore('entries')
        const entries = await old.getAll()
        for (const [at, entry] of entries.entries()) await facts.put(factOfOldEntry(entry, at))
        ;(fresh as unknown as IDBPDatabase<OldSchema>).deleteObjectStore('entries')
      },
    })
    return opened
  }
  return {
    put: async (entries) => {
      const transaction = (await database()).transaction('facts', 'readwrite', { durability: 'strict' })
      await Promise.all([...entries.map((entry) => transaction.store.put(entry)), transaction.done])
    },
    remove: async (ids) => {
      const transaction = (await database()).transaction('facts', 'readwrite')
      await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done])
    },
    all: async () => (await database()).getAll('facts'),
  }
}

interface OldStore {
  getAll: () => Promise<OldEntry[]>
}
