import type { Sequelize } from 'sequelize'

/** Rows in one statement: large enough for a full outbox, small enough for a short lock. */
const MAX_ROWS = 1_000
/** Statements under way at once: the next ones gather rows meanwhile, so that one commit serves many requests. */
const MAX_UNDER_WAY = 2

type Values = readonly unknown[]

interface Job {
  rows: Values[]
  resolve: () => void
  reject: (error: unknown) => void
}

interface BareConnection {
  query: (sql: string, values: unknown[], done: (error: Error | null) => void) => void
}

/**
 * Inserts rows of many requests together, so that they share a commit; no request is answered before
 * the commit that holds its rows. Rows that the database refuses fail their own request alone.
 *
 * The one statement that runs at every weighing goes straight through a connection of Sequelize's pool: building
 * model instances and the statement anew takes three times as long (`npm run bench`, readings stored).
 */
export class SharedInserts {
  readonly #database: Sequelize
  readonly #sql: string
  #waiting: Job[] = []
  #underWay = 0

  constructor(database: Sequelize, table: string, columns: readonly string[]) {
    this.#database = database
    this.#sql = `INSERT INTO ${table} (${columns.join(',')}) VALUES ?`
  }

  /** Resolves once the rows are committed: all of them, or none. Throws the driver's own error. */
  insert(rows: Values[]): Promise<void> {
    return new Promise((resolve, reject) => {
      this.#waiting.push({ rows, resolve, reject })
      this.#start()
    })
  }

  #start(): void {
    if (this.#underWay >= MAX_UNDER_WAY || this.#waiting.length === 0) return
    const jobs: Job[] = []
    let count = 0
    while (
      this.#waiting[0] &&
      count + this.#waiting[0].rows.length <= Math.max(MAX_ROWS, this.#waiting[0].rows.length)
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
      await this.#insertNow(jobs.flatMap((job) => job.rows))
      for (const job of jobs) job.resolve()
    } catch (error) {
      const [only] = jobs
      if (jobs.length === 1) only?.reject(error)
      // One of them is at fault, or a deadlock: each tries again by itself.
      else for (const job of jobs) await this.#write([job])
    }
  }

  async #insertNow(rows: Values[]): Promise<void> {
    const connection = await this.#database.connectionManager.getConnection({ type: 'write' })
    try {
      await new Promise<void>((resolve, reject) => {
        ;(connection as BareConnection).query(this.#sql, [rows], (error) => (error ? reject(error) : resolve()))
      })
    } finally {
      this.#database.connectionManager.releaseConnection(connection)
    }
  }
}
