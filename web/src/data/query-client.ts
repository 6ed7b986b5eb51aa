import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister'
import { QueryClient } from '@tanstack/react-query'
import type { PersistQueryClientOptions } from '@tanstack/react-query-persist-client'
import { isOffline } from './api.ts'
import { deviceCache } from './device-cache.ts'

const MAX_RETRIES = 2
/** What was read last stays readable on this device for so long. */
const REMEMBERED_MS = 7 * 24 * 3600 * 1000
/** Changed with the shape of what is remembered, so that an older page's memory is let go. */
const SHAPE = '13'
/** How often what was read is written down; this device's own weighings are in the outbox at once. */
const WRITE_MS = 4_000
/** A page that has just been opened writes sooner, so long: a tab that dies soon after its first visit comes back. */
const FRESH_MS = 15_000
const FRESH_WRITE_MS = 300

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2_000,
      gcTime: REMEMBERED_MS,
      retry: (count, error) => isOffline(error) && count < MAX_RETRIES,
      // What was read last stays readable without a network; the outbox says what is not sent.
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
})

const storage = deviceCache()
const persisterEvery = (throttleTime: number) => createAsyncStoragePersister({ storage, key: 'queries', throttleTime })
const steady = persisterEvery(WRITE_MS)
const fresh = persisterEvery(FRESH_WRITE_MS)

/** A page that opens without a network shows what this device read last. */
export const remembered: Omit<PersistQueryClientOptions, 'queryClient'> = {
  persister: {
    ...steady,
    persistClient: (client) => (performance.now() < FRESH_MS ? fresh : steady).persistClient(client),
  },
  maxAge: REMEMBERED_MS,
  buster: SHAPE,
  // What was read stays remembered when asking for it again fails: without a network it fails every time.
  dehydrateOptions: { shouldDehydrateQuery: ({ state }) => state.data !== undefined },
}
