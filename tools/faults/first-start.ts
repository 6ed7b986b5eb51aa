import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { gunzipSync } from 'node:zlib'
import { addressOf } from '@fleam/contract/client'
import { healthOperations } from '@fleam/contract/health/operations'
import mysql from 'mysql2/promise'
import { findFreePort } from '../ports.ts'
import { startPrivateDatabase } from '../private-database.ts'
import { until } from '../processes.ts'
import { Kitchen } from './kitchen.ts'

const READY_MS = 60_000
/** A database as a version long before left it: every migration is still to come. */
const OLD = 'server/test/upgrade/version-005.sql.gz'

export interface CutStart {
  what: string
  /** Milliseconds from the start after the cut until it was ready. */
  ms: number
}

/** Starts on an empty folder, kills everything after so long, and starts again. */
export async function cutFirstStart(parent: string, afterMs: number): Promise<CutStart> {
  const folder = mkdtempSync(join(parent, 'first-'))
  const kitchen = new Kitchen(folder, await findFreePort())
  kitchen.start()
  await sleep(afterMs)
  return goesOn(kitchen, folder, `first start cut off after ${afterMs} ms`)
}

/** Starts on an old database, kills everything as its migrations run, and starts again. */
export async function cutMigrations(parent: string, afterMs: number): Promise<CutStart> {
  const folder = mkdtempSync(join(parent, 'old-'))
  mkdirSync(join(folder, 'database'))
  const database = await startPrivateDatabase(join(folder, 'database'))
  const connection = await mysql.createConnection({ uri: database.url, multipleStatements: true })
  await connection.query(`SET foreign_key_checks = 0;\n${gunzipSync(readFileSync(OLD)).toString()}`)
  await connection.end()
  await database.stop()
  const kitchen = new Kitchen(folder, await findFreePort())
  kitchen.start()
  const isUp = () =>
    fetch(`${kitchen.url}${addressOf(healthOperations.readHealth, {})}`).then(
      () => true,
      () => false,
    )
  await until(isUp, { timeoutMs: READY_MS, everyMs: 5 })
  await sleep(afterMs)
  return goesOn(kitchen, folder, `migrations cut off after ${afterMs} ms`)
}

async function goesOn(kitchen: Kitchen, folder: string, what: string): Promise<CutStart> {
  try {
    kitchen.killAll()
    const start = performance.now()
    kitchen.start()
    await until(() => kitchen.isReady(), { timeoutMs: READY_MS, everyMs: 25 }).catch(() => {
      throw new Error(`${what}: it does not start again`)
    })
    return { what, ms: performance.now() - start }
  } finally {
    await kitchen.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
