import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** When anything below a path was last changed, milliseconds since 1970; what is built there does not count. */
export function newestChange(path: string): number {
  const stats = statSync(path)
  if (!stats.isDirectory()) return stats.mtimeMs
  const inside = readdirSync(path).filter((name) => name !== 'dist' && name !== 'node_modules')
  return inside.reduce((latest, name) => Math.max(latest, newestChange(join(path, name))), stats.mtimeMs)
}
