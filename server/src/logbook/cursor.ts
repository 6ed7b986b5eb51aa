import { createHash } from 'node:crypto'
import type { RecordsQuery } from '@fleam/contract/logbook/schemas'
import { Refusal } from '../http/index.ts'
import type { PageEnd } from './records-store.ts'

/** What a page belongs to: everything that was asked but for where to go on and how many. */
function fingerprint({ cursor: _cursor, limit: _limit, ...asked }: RecordsQuery): string {
  const sorted = Object.entries(asked).sort(([a], [b]) => (a < b ? -1 : 1))
  return createHash('sha256').update(JSON.stringify(sorted)).digest('base64url').slice(0, 12)
}

/** Where the next page begins, as text that is handed back. */
export const cursorOf = (query: RecordsQuery, { value, id }: PageEnd): string =>
  Buffer.from(JSON.stringify([fingerprint(query), value, id])).toString('base64url')

/** Reads a cursor; refuses one that is no cursor, or of another question. */
export function readCursor(query: RecordsQuery): PageEnd | null {
  if (query.cursor === undefined) return null
  const refuse = (message: string) =>
    new Refusal('invalid-input', 'This page cannot be gone on from: ask for the first one again.', {
      issues: [{ path: 'cursor', message }],
    })
  let read: unknown
  try {
    read = JSON.parse(Buffer.from(query.cursor, 'base64url').toString())
  } catch {
    throw refuse('is no cursor')
  }
  if (!Array.isArray(read) || read.length !== 3) throw refuse('is no cursor')
  const [of, value, id] = read as unknown[]
  if (of !== fingerprint(query)) throw refuse('is of another question')
  if (typeof value !== 'string' || typeof id !== 'string') throw refuse('is no cursor')
  return { value, id }
}
