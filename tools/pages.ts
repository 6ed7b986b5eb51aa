import { execFile } from 'node:child_process'
import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'

const SOURCES = ['web', 'core', 'contract', 'catalogue', 'package-lock.json']
const STAMP = 'web/dist/.built'

function newest(path: string): number {
  const stats = statSync(path)
  if (!stats.isDirectory()) return stats.mtimeMs
  const inside = readdirSync(path).filter((name) => name !== 'dist' && name !== 'node_modules')
  return inside.reduce((latest, name) => Math.max(latest, newest(join(path, name))), stats.mtimeMs)
}

/** Builds the pages where a source is newer than the last build. */
export async function buildPages(): Promise<void> {
  if (existsSync(STAMP) && SOURCES.every((path) => newest(path) <= statSync(STAMP).mtimeMs)) return
  // A process of its own: the builder is large, and it changes the environment that it runs in.
  await promisify(execFile)('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'error'])
  writeFileSync(STAMP, '')
}
