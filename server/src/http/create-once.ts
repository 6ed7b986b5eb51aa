import { databaseCode } from '../database/index.ts'
import { Refusal, refuseOtherContent } from './problems.ts'

interface Creation<T> {
  /** What stands under the id already; null where nothing does. */
  read: () => Promise<T | null>
  create: () => Promise<unknown>
  /** Reads what was just created; as `read` does where it is not given. */
  readCreated?: () => Promise<T | null>
  /** Whether what stands there is what is to be created. */
  isSame: (existing: T) => boolean
  /** What is told where the database holds its place, its name mostly, for another one. */
  taken: { path: string; detail: string }
}

/** What was created at the same time may have taken a place that this one can share once it is committed. */
const MAX_ATTEMPTS = 3
const MAY_TRY_AGAIN = new Set(['ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK'])

/**
 * Creates something under the id that its maker gave it: sent again, eight at once too, it is there once and answers as
 * the first time. Under an id that stands for something else it is refused, and nothing is said to be kept.
 */
export async function createOnce<T>({ read, create, readCreated = read, isSame, taken }: Creation<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    const existing = await read()
    if (existing !== null) {
      refuseOtherContent(isSame(existing))
      return existing
    }
    try {
      await create()
      const created = await readCreated()
      if (created === null) throw new Error('What was created is not there')
      return created
    } catch (error) {
      if (!MAY_TRY_AGAIN.has(databaseCode(error) ?? '')) throw error
      if (attempt < MAX_ATTEMPTS) continue
      if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
      throw new Refusal('id-taken', taken.detail, { issues: [{ path: taken.path, message: 'is taken' }] })
    }
  }
}

/** Decimals that the database keeps of a number. */
const DECIMALS = 9

/** What is stored and what is sent say the same: numbers as far as the database keeps them, fields that nobody said left out. */
export const isSameContent = (stored: unknown, sent: unknown): boolean =>
  JSON.stringify(asKept(stored)) === JSON.stringify(asKept(sent))

function asKept(value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toFixed(DECIMALS))
  if (Array.isArray(value)) return value.map(asKept)
  if (value === null || typeof value !== 'object') return value
  return Object.entries(value)
    .filter(([, each]) => each !== undefined && each !== null)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, each]) => [key, asKept(each)])
}
