import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { sync as writeWhole } from 'write-file-atomic'
import { commandLine, everyProcess, isAlive, stopProcess } from './processes.ts'

const STOP_MS = 15_000
const STATE = 'running.json'

/** Says on a program's command line which data folder it belongs to, so that it is found again whatever is lost. */
export const houseArgument = (folder: string) => `--house=${resolve(folder)}`

interface Program {
  /** As it was started: `server`, `scale-main`, `feed-main` or `mariadbd`. */
  name: string
  pid: number
}

/** What runs on a data folder. */
export interface Running {
  /** The process that keeps the others running; null where none does. */
  supervisor: number | null
  programs: Program[]
}

/** Fields of a process after its name, which may hold blanks; the third is its state. */
function statusOf(pid: number): string[] {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ') ?? []
  } catch {
    return []
  }
}
const parentOf = (pid: number) => Number(statusOf(pid)[1] ?? 0)
/** When a process started, in ticks since the machine did: a number that went to another program has another one. */
const startOf = (pid: number) => statusOf(pid)[19] ?? ''

/** Writes down who keeps the programs of a folder running. */
export function writeSupervisor(folder: string, pid: number): void {
  writeWhole(join(folder, STATE), JSON.stringify({ supervisor: pid, startedAt: startOf(pid) }))
}

export const forgetSupervisor = (folder: string) => rmSync(join(folder, STATE), { force: true })

/** The supervisor as it was written down, if it is still that process. A file that is lost or torn says nothing. */
function writtenSupervisor(folder: string): number | null {
  try {
    const { supervisor, startedAt } = JSON.parse(readFileSync(join(folder, STATE), 'utf8'))
    const isSame = Number.isInteger(supervisor) && isAlive(supervisor) && startOf(supervisor) === startedAt
    return isSame ? supervisor : null
  } catch {
    return null
  }
}

/** Everything of ours that runs on a data folder, by what the machine says of its processes. */
export function runningOn(dataFolder: string): Running {
  const folder = resolve(dataFolder)
  // An installation that was cut off may still run: it makes the data in a folder of its own beside.
  const [house, data] = [houseArgument(folder), `--datadir=${join(folder, 'database')}/`]
  const programs = everyProcess().flatMap((pid): Program[] => {
    const words = commandLine(pid)
    if (words.some((word) => word.startsWith(data))) return [{ name: 'mariadbd', pid }]
    const built = words.find((word) => /server\/dist\/[a-z-]+\.mjs$/.test(word))
    return built && words.includes(house) ? [{ name: built.replace(/^.*\/|\.mjs$/g, ''), pid }] : []
  })
  const parents = programs.map(({ pid }) => parentOf(pid))
  const parent = parents.find((pid) => commandLine(pid).some((word) => word.endsWith('tools/main.ts')))
  return { supervisor: writtenSupervisor(folder) ?? parent ?? null, programs }
}

/** Stops the Fleam that runs on a data folder, and what a killed one left behind. Returns whether there was one. */
export async function stopRunning(dataFolder: string): Promise<boolean> {
  const folder = resolve(dataFolder)
  if (!existsSync(folder)) return false
  const { supervisor, programs } = runningOn(folder)
  if (supervisor !== null && supervisor !== process.pid) await stopProcess(supervisor, STOP_MS * 3)
  // The database last: the server still writes.
  const left = runningOn(folder).programs.sort((a, b) => Number(a.name === 'mariadbd') - Number(b.name === 'mariadbd'))
  for (const { pid } of left) await stopProcess(pid, STOP_MS)
  forgetSupervisor(folder)
  return supervisor !== null || programs.length > 0
}
