import type { KeptMark, KeptMove, KeptReading, KeptVoid } from '@fleam/contract'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

interface EntryPlace {
  kitchenId: string
  fabricationId: string
  id: string
  /** When the server had stored it, milliseconds since 1970; absent while it has not. */
  storedAtMs?: number
}

/** Something that a cook did at the bench, and that the server may not have yet. */
export type OutboxEntry = EntryPlace &
  (
    | { kind: 'reading'; reading: KeptReading }
    | { kind: 'void'; void: KeptVoid }
    | { kind: 'move'; move: KeptMove }
    | { kind: 'mark'; mark: KeptMark }
  )

interface OutboxSchema extends DBSchema {
  entries: { key: string; value: OutboxEntry }
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
    opened ??= openDB<OutboxSchema>(name, 1, {
      upgrade: (fresh) => void fresh.createObjectStore('entries', { keyPath: 'id' }),
    })
    return opened
  }
  return {
    put: async (entries) => {
      const transaction = (await database()).transaction('entries', 'readwrite', { durability: 'strict' })
      await Promise.all([...entries.map((entry) => transaction.store.put(entry)), transaction.done])
    },
    remove: async (ids) => {
      const transaction = (await database()).transaction('entries', 'readwrite')
      await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done])
    },
    all: async () => (await database()).getAll('entries'),
  }
}
