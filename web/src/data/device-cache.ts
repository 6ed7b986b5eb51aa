import { type DBSchema, openDB } from 'idb'

interface CacheSchema extends DBSchema {
  texts: { key: string; value: string }
}

/** Texts kept in the browser's own database. A device that keeps nothing is read as an empty one. */
export function deviceCache(name = 'fleam-cache') {
  const open = () => openDB<CacheSchema>(name, 1, { upgrade: (fresh) => void fresh.createObjectStore('texts') })
  let opened: ReturnType<typeof open> | null = null
  const database = () => {
    opened ??= open()
    return opened
  }
  return {
    getItem: async (key: string) => (await (await database()).get('texts', key)) ?? null,
    setItem: async (key: string, text: string) => {
      await (await database()).put('texts', text, key)
    },
    removeItem: async (key: string) => (await database()).delete('texts', key),
  }
}
