import { spawn } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import mysql from 'mysql2/promise'
import { type PrivateDatabase, startPrivateDatabase } from './private-database.ts'
import { until } from './processes.ts'

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
  for (const entry of spoil) {
    await database.stop()
    entry()
    database = await startPrivateDatabase(folder)
    const again = await open(database.url)
    const [rows] = await again.query('SELECT grams FROM kept')
    expect(rows).toEqual([{ grams: 281 }])
    await again.end()
  }
}, 120_000)

/** A start that another process makes of it, which is killed after so long; what it runs goes on by itself. */
async function cutOff(afterMs: number): Promise<void> {
  const script = `import('${join(process.cwd(), 'tools/private-database.ts')}').then((own) => own.startPrivateDatabase('${folder}'))`
  const start = spawn(process.execPath, ['--import', 'tsx', '--eval', script], { stdio: 'ignore' })
  const ended = new Promise((resolve) => start.once('exit', resolve))
  await until(() => existsSync(join(folder, 'run')), { timeoutMs: 20_000, everyMs: 5 })
  await sleep(afterMs)
  start.kill('SIGKILL')
  await ended
}

test.each([20, 300, 900])(
  'a first start that is cut off after %s ms does not keep the next one from it',
  async (afterMs) => {
    await cutOff(afterMs)
    database = await startPrivateDatabase(folder)
    expect(readdirSync(folder).filter((name) => name.startsWith('unfinished'))).toEqual([])
  },
  60_000,
)

test('data that an older version left half made is made anew, and whole data without a mark is kept', async () => {
  mkdirSync(join(folder, 'data', 'mysql'), { recursive: true })
  writeFileSync(join(folder, 'data', 'ibdata1'), 'half')
  database = await startPrivateDatabase(folder)
  const first = await open(database.url)
  await first.query('CREATE TABLE kept (grams INT)')
  await first.end()
  await database.stop()
  rmSync(join(folder, 'data', 'fleam-finished'))
  database = await startPrivateDatabase(folder)
  const again = await open(database.url)
  expect((await again.query('SELECT grams FROM kept'))[0]).toEqual([])
  await again.end()
}, 60_000)
