import { rmSync } from 'node:fs'
import { running } from './running.ts'

export default async function stopDatabase(): Promise<void> {
  await running.database?.stop()
  if (running.folder) rmSync(running.folder, { recursive: true, force: true })
}
