import type { KeptMark, KeptMove, KeptReading, KeptVoid, ReadingsSent } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { databaseCode } from '../database/connection.ts'
import { insertStraight, type SqlParameters, select } from '../database/rows.ts'
import { notFound, Refusal } from '../http/problems.ts'
import { markFromRow, markRow, moveFromRow, moveRow, readingFromRow, readingRow, voidFromRow, voidRow } from './rows.ts'

/** Rows in one statement: large enough for a full outbox, small enough for a short lock. */
const MOST_ROWS = 1_000
/** Statements under way at once: the next ones gather rows meanwhile, so that one commit serves many requests. */
const MOST_UNDER_WAY = 2

interface Job {
  rows: SqlParameters[]
  resolve: () => void
  reject: (error: unknown) => void
}

/**
 * Inserts rows of many requests together, so that they share a commit; no request is answered before
 * the commit that holds its rows. A row that the database refuses fails its own request alone.
 */
export class SharedInserts {
  readonly #database: Sequelize
  readonly #table: string
  #waiting: Job[] = []
  #underWay = 0

  constructor(database: Sequelize, table: string) {
    this.#database = database
    this.#table = table
  }

  insert(rows: SqlParameters[]): Promise<void> {
    return new Promise((resolve, reject) => {
      this.#waiting.push({ rows, resolve, reject })
      this.#start()
    })
  }

  #start(): void {
    if (this.#underWay >= MOST_UNDER_WAY || this.#waiting.length === 0) return
    const jobs: Job[] = []
    let count = 0
    while (
      this.#waiting[0] &&
      count + this.#waiting[0].rows.length <= Math.max(MOST_ROWS, this.#waiting[0].rows.length)
    ) {
      const job = this.#waiting.shift() as Job
      jobs.push(job)
      count += job.rows.length
    }
    this.#underWay++
    void this.#write(jobs).finally(() => {
      this.#underWay--
      this.#start()
    })
  }

  async #write(jobs: Job[]): Promise<void> {
    try {
      await insertStraight(
        this.#database,
        this.#table,
        jobs.flatMap((job) => job.rows),
      )
      for (const job of jobs) job.resolve()
    } catch (error) {
      const [only] = jobs
      if (jobs.length === 1) only?.reject(error)
      // One of them is at fault, or a deadlock: each tries again by itself.
      else for (const job of jobs) await this.#write([job])
    }
  }
}

/** Stores weighings, withdrawals, moves and marks: append only, once for each id whoever sends it how often. */
export class ReadingLog {
  readonly #database: Sequelize
  readonly #readings: SharedInserts
  readonly #voids: SharedInserts
  readonly #moves: SharedInserts
  readonly #marks: SharedInserts

  constructor(database: Sequelize) {
    this.#database = database
    this.#readings = new SharedInserts(database, 'readings')
    this.#voids = new SharedInserts(database, 'reading_voids')
    this.#moves = new SharedInserts(database, 'reading_moves')
    this.#marks = new SharedInserts(database, 'marks')
  }

  /** Resolves with the ids once they are committed. Throws a `Refusal` that names the field, storing none of that list. */
  async append(kitchenId: string, fabricationId: string, sent: ReadingsSent): Promise<string[]> {
    const owner = { kitchenId, fabricationId }
    if (sent.readings.length > 0) await this.#appendReadings(owner, unique(sent.readings))
    if (sent.voids.length > 0) await this.#appendVoids(owner, unique(sent.voids))
    if (sent.moves.length > 0) await this.#appendMoves(owner, unique(sent.moves))
    if (sent.marks.length > 0) await this.#appendMarks(owner, unique(sent.marks))
    return [...sent.readings, ...sent.voids, ...sent.moves, ...sent.marks].map((each) => each.id)
  }

  async #appendReadings(owner: Owner, readings: KeptReading[]): Promise<void> {
    const rows = readings.map((each) => readingRow(owner.kitchenId, owner.fabricationId, each))
    await this.#appendOnce(owner, {
      table: 'readings',
      inserts: this.#readings,
      list: readings,
      rows,
      isSame: (row, each) => {
        const known = readingFromRow(row)
        return known.pileId === each.pileId && known.grams === each.grams
      },
      refuse: () => this.#refusePiles(owner, 'readings', readings),
    })
  }

  async #appendVoids(owner: Owner, voids: KeptVoid[]): Promise<void> {
    const rows = voids.map((each) => voidRow(owner.kitchenId, owner.fabricationId, each))
    await this.#appendOnce(owner, {
      table: 'reading_voids',
      inserts: this.#voids,
      list: voids,
      rows,
      isSame: (row, each) => voidFromRow(row).readingId === each.readingId,
      refuse: () => Promise.reject(notFound('reading')),
    })
  }

  async #appendMoves(owner: Owner, moves: KeptMove[]): Promise<void> {
    await this.#appendOnce(owner, {
      table: 'reading_moves',
      inserts: this.#moves,
      list: moves,
      rows: moves.map((each) => moveRow(owner.kitchenId, owner.fabricationId, each)),
      isSame: (row, each) => {
        const known = moveFromRow(row)
        return known.readingId === each.readingId && known.pileId === each.pileId
      },
      refuse: async () => {
        await this.#refusePiles(owner, 'moves', moves)
        throw notFound('reading')
      },
    })
  }

  async #appendMarks(owner: Owner, marks: KeptMark[]): Promise<void> {
    await this.#appendOnce(owner, {
      table: 'marks',
      inserts: this.#marks,
      list: marks,
      rows: marks.map((each) => markRow(owner.kitchenId, owner.fabricationId, each)),
      isSame: (row, each) => {
        const known = markFromRow(row)
        return known.kind === each.kind && known.cook === each.cook && known.step === each.step
      },
      refuse: () => Promise.reject(notFound('fabrication')),
    })
  }

  /** The common case is one insert; what is there already is looked up only when the database says so. */
  async #appendOnce<T extends { id: string }>(owner: Owner, work: Append<T>): Promise<void> {
    for (let attempt = 0; ; attempt++) {
      try {
        const rows = attempt === 0 ? work.rows : await this.#missingRows(owner, work)
        if (rows.length > 0) await work.inserts.insert(rows)
        return
      } catch (error) {
        const code = databaseCode(error)
        if (code === 'ER_NO_REFERENCED_ROW_2') await work.refuse()
        const mayTryAgain = code === 'ER_DUP_ENTRY' || code === 'ER_LOCK_DEADLOCK' || code === 'ER_LOCK_WAIT_TIMEOUT'
        if (!mayTryAgain || attempt >= MOST_ATTEMPTS) throw error
      }
    }
  }

  /** Rows that are not stored yet. An id that stands for something else, here or elsewhere, is refused. */
  async #missingRows<T extends { id: string }>(owner: Owner, { table, list, rows, isSame }: Append<T>) {
    const known = await select(this.#database, `SELECT * FROM ${table} WHERE id IN (:ids)`, {
      ids: list.map((each) => each.id),
    })
    const byId = new Map(known.map((row) => [row.id, row]))
    return rows.filter((_, at) => {
      const each = list[at] as T
      const row = byId.get(each.id)
      if (!row) return true
      const isOurs = row.kitchen_id === owner.kitchenId && row.fabrication_id === owner.fabricationId
      if (isOurs && isSame(row, each)) return false
      throw new Refusal('id-taken', 'An id of this list stands for another weighing.', {
        issues: [{ path: `[${at}].id`, message: 'is taken' }],
      })
    })
  }

  /** Says which pile is not one of this fabrication; returns where all of them are. */
  async #refusePiles(owner: Owner, field: 'readings' | 'moves', list: readonly { pileId: string }[]): Promise<void> {
    const piles = await select(
      this.#database,
      'SELECT id FROM fabrication_piles WHERE kitchen_id = :kitchenId AND fabrication_id = :fabricationId',
      { ...owner },
    )
    if (piles.length === 0) throw notFound('fabrication')
    const known = new Set(piles.map((row) => row.id))
    const issues = list.flatMap((each, at) =>
      known.has(each.pileId) ? [] : [{ path: `${field}[${at}].pileId`, message: 'is not a pile of this fabrication' }],
    )
    if (issues.length > 0) throw new Refusal('pile-unknown', 'Nothing of this list was stored.', { issues })
  }
}

const MOST_ATTEMPTS = 4

interface Owner {
  kitchenId: string
  fabricationId: string
}

interface Append<T> {
  table: string
  inserts: SharedInserts
  list: T[]
  rows: SqlParameters[]
  isSame: (row: Parameters<typeof readingFromRow>[0], each: T) => boolean
  /** Says which field the database refused, by throwing. */
  refuse: () => Promise<unknown>
}

const unique = <T extends { id: string }>(list: readonly T[]): T[] => [
  ...new Map(list.map((each) => [each.id, each])).values(),
]
