import { type ChildProcess, spawn } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'

export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

/** The words that a process was started with; none where it is gone. */
export function commandLine(pid: number): string[] {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0')
  } catch {
    return []
  }
}

/** Every process of this machine, by its number. */
export const everyProcess = (): number[] => readdirSync('/proc').map(Number).filter(Number.isInteger)

export interface UntilOptions {
  timeoutMs: number
  everyMs: number
  /** Ends the wait early with an error. */
  giveUp?: () => boolean
}

/** Waits until the check holds. Throws when the time is over or `giveUp` says so. */
export async function until(check: () => Promise<boolean> | boolean, { timeoutMs, everyMs, giveUp }: UntilOptions) {
  const end = Date.now() + timeoutMs
  while (!(await check())) {
    if (giveUp?.() || Date.now() > end) throw new Error('It took too long')
    await sleep(everyMs)
  }
}

/** Asks a process to end and waits for it; ends it hard when the time is over. */
export async function stopProcess(pid: number, timeoutMs: number): Promise<void> {
  if (!isAlive(pid)) return
  process.kill(pid, 'SIGTERM')
  try {
    await until(() => !isAlive(pid), { timeoutMs, everyMs: 30 })
  } catch {
    process.kill(pid, 'SIGKILL')
  }
}

/** Runs one of our built programs as a process of its own, in its own process group. */
export function runProgram(
  file: string,
  environment: Record<string, string>,
  parameters: readonly string[] = [],
): ChildProcess {
  return spawn(process.execPath, ['--enable-source-maps', file, ...parameters], {
    stdio: ['ignore', 'inherit', 'inherit'],
    detached: true,
    env: { ...process.env, ...environment },
  })
}

const SHORTEST_PAUSE_MS = 300
const LONGEST_PAUSE_MS = 5_000

/** Milliseconds to wait before the next try, after so many failed ones: growing, and never for ever. */
export const pauseAfter = (failures: number): number => Math.min(LONGEST_PAUSE_MS, SHORTEST_PAUSE_MS * 2 ** failures)

/** Says what is done and how long it took. */
export async function step<T>(what: string, work: () => Promise<T> | T): Promise<T> {
  const start = performance.now()
  process.stdout.write(`  ${what} … `)
  try {
    const result = await work()
    process.stdout.write(`${((performance.now() - start) / 1000).toFixed(1)} s\n`)
    return result
  } catch (error) {
    process.stdout.write('failed\n')
    throw error
  }
}
