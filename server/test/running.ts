import type { PrivateDatabase } from '../../tools/private-database.ts'

interface Running {
  database?: PrivateDatabase
  folder?: string
}

const holder = globalThis as { fleamTest?: Running }
holder.fleamTest ??= {}

/** What the set-up hands to the tear-down. */
export const running: Running = holder.fleamTest
