import { execFile } from 'node:child_process'
import { existsSync, statSync, writeFileSync } from 'node:fs'
import { promisify } from 'node:util'
import { newestChange } from './newest-change.ts'

const SOURCES = ['web', 'core', 'contract', 'catalogue', 'package-lock.json']
const STAMP = 'web/dist/.built'

/** Builds the pages where a source is newer than the last build. */
export async function buildPages(): Promise<void> {
  if (existsSync(STAMP) && SOURCES.every((path) => newestChange(path) <= statSync(STAMP).mtimeMs)) return
  // A process of its own: the builder is large, and it changes the environment that it runs in.
  await promisify(execFile)('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'error'])
  writeFileSync(STAMP, '')
}
