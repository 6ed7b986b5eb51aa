import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql from 'mysql2/promise'
import { type PrivateDatabase, startPrivateDatabase } from './private-database.ts'

let folder: string
let database: PrivateDatabase | null = null

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fleam-private-'))
})
afterEach(async () => {
  await database?.stop()
  database = null
  rmSync(folder, { recursive: true, force: true })
})

const open = (url: string) => mysql.createConnection(url)

test('lets nobody in but Fleam with its password, and is not run by the system’s root', async () => {
  database = await startPrivateDatabase(folder)
  const { port, hostname } = new URL(database.url)
  const socketPath = join(folder, 'run', 'db.sock')
  const strangers = [
    { host: hostname, user: 'root' },
    { host: 'localhost', user: 'root' },
    { host: '::1', user: 'root' },
    { socketPath, user: 'root' },
    { socketPath, user: 'mysql' },
    { socketPath, user: '' },
    { host: hostname, user: '' },
    { host: hostname, user: 'fleam' },
    { host: hostname, user: 'fleam', password: 'x'.repeat(48) },
  ]
  for (const stranger of strangers) {
    const entry = mysql.createConnection({ port: Number(port), ...stranger })
    await expect(entry.then(() => `${JSON.stringify(stranger)} is let in`)).rejects.toThrow()
  }
  const connection = await open(database.url)
  await expect(connection.query('SELECT * FROM mysql.global_priv')).rejects.toThrow('denied')
  await expect(connection.query("SELECT 1 INTO OUTFILE '/tmp/fleam-written'")).rejects.toThrow('denied')
  await connection.end()
  const uid = /^Uid:\s+(\d+)/m.exec(readFileSync(`/proc/${database.process.pid}/status`, 'utf8'))?.[1]
  expect(uid).not.toBe('0')
}, 60_000)

test('opens the same data again, also when its secret was torn or lost', async () => {
  database = await startPrivateDatabase(folder)
  const first = await open(database.url)
  await first.query('CREATE TABLE kept (grams INT)')
  await first.query('INSERT INTO kept VALUES (281)')
  await first.end()
  const secret = join(folder, 'secret.json')
  const spoil = [() => rmSync(secret), () => truncateSync(secret), () => writeFileSync(secret, '{"password":"')]
  for (const each of spoil) {
    await database.stop()
    each()
    database = await startPrivateDatabase(folder)
    const again = await open(database.url)
    const [rows] = await again.query('SELECT grams FROM kept')
    expect(rows).toEqual([{ grams: 281 }])
    await again.end()
  }
}, 120_000)
