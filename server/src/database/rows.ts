import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

export type Cell = string | number | boolean | Date | null
export type Row = Record<string, Cell>
export type SqlParameters = Record<string, unknown>

/** Rows of a query with named parameters. DECIMAL arrives as exact text, see `number`. */
export function select(
  database: Sequelize,
  sql: string,
  replacements: SqlParameters,
  transaction?: Transaction,
): Promise<Row[]> {
  return database.query<Row>(sql, { type: QueryTypes.SELECT, replacements, ...(transaction ? { transaction } : {}) })
}

/** Inserts rows that all have the same columns in one statement: all of them or none. */
export async function insertRows(
  database: Sequelize,
  table: string,
  rows: readonly SqlParameters[],
  transaction?: Transaction,
): Promise<void> {
  const [first] = rows
  if (!first) return
  const columns = Object.keys(first)
  const marks = `(${columns.map(() => '?').join(',')})`
  await database.query(`INSERT INTO ${table} (${columns.join(',')}) VALUES ${rows.map(() => marks).join(',')}`, {
    type: QueryTypes.INSERT,
    replacements: rows.flatMap((row) => columns.map((column) => row[column] ?? null)),
    ...(transaction ? { transaction } : {}),
  })
}

/** Writes columns of one row of a kitchen. */
export async function updateRow(
  database: Sequelize,
  table: string,
  key: { kitchenId: string; id: string },
  columns: SqlParameters,
  transaction?: Transaction,
): Promise<void> {
  const sets = Object.keys(columns).map((column) => `${column} = :${column}`)
  await database.query(`UPDATE ${table} SET ${sets.join(', ')} WHERE kitchen_id = :kitchenId AND id = :id`, {
    replacements: { ...columns, ...key },
    ...(transaction ? { transaction } : {}),
  })
}

interface BareConnection {
  query: (sql: string, values: unknown[], done: (error: Error | null) => void) => void
}

/**
 * Inserts rows like `insertRows`, straight through a connection of Sequelize's pool: a third of the
 * work for the one statement that runs at every weighing. Throws the driver's own error.
 */
export async function insertStraight(
  database: Sequelize,
  table: string,
  rows: readonly SqlParameters[],
): Promise<void> {
  const [first] = rows
  if (!first) return
  const columns = Object.keys(first)
  const values = rows.map((row) => columns.map((column) => row[column] ?? null))
  const connection = await database.connectionManager.getConnection({ type: 'write' })
  try {
    await new Promise<void>((resolve, reject) => {
      const sql = `INSERT INTO ${table} (${columns.join(',')}) VALUES ?`
      ;(connection as BareConnection).query(sql, [values], (error) => (error ? reject(error) : resolve()))
    })
  } finally {
    database.connectionManager.releaseConnection(connection)
  }
}

export const text = (cell: Cell | undefined) => String(cell)
export const textOrNull = (cell: Cell | undefined) => (cell === null || cell === undefined ? null : String(cell))
/** DECIMAL text as the nearest double: what the core computes with. */
export const number = (cell: Cell | undefined) => Number(cell)
export const numberOrNull = (cell: Cell | undefined) => (cell === null || cell === undefined ? null : Number(cell))
export const instantText = (cell: Cell | undefined) => (cell as Date).toISOString()

/** What a JSON column holds; the driver may hand it over as text. */
export const json = <T>(cell: unknown): T => (typeof cell === 'string' ? JSON.parse(cell) : cell) as T

/** Only the fields that are set, as numbers: what is null in the table is absent in the document. */
export function presentNumbers<K extends string>(
  row: Row,
  columns: Readonly<Record<K, string>>,
): Partial<Record<K, number>> {
  const entries = Object.entries(columns) as [K, string][]
  return Object.fromEntries(
    entries.flatMap(([key, column]) => (row[column] === null ? [] : [[key, Number(row[column])]])),
  ) as Partial<Record<K, number>>
}

/** Rows gathered by the text of one column. */
export function rowsBy(rows: readonly Row[], column: string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>()
  for (const row of rows) {
    const key = text(row[column])
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}
