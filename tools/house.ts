import type { ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { loadDemo } from '@fleam/demo'
import { buildServer, builtProgram } from './build-server.ts'
import { buildPages } from './pages.ts'
import { findFreePort, isPortFree } from './ports.ts'
import { type PrivateDatabase, startPrivateDatabase } from './private-database.ts'
import { isAlive, runProgram, step, stopProcess, until } from './processes.ts'

const READY_MS = 60_000
const STOP_MS = 15_000
const RESTART_MS = 300
/** How a program of ours ends that would end the same way again. */
const CANNOT_GO_ON = 78
export const DEFAULT_PORT = 4173

export interface HouseOptions {
  port: number
  dataFolder: string
  /** Loads the demo kitchens and runs the simulated scale. */
  isDemo: boolean
  /** The simulated scale comes to rest within a few ticks: for tests of what follows. */
  isScaleQuick?: boolean
  /** An existing database; null runs a private one. */
  databaseUrl: string | null
  /** A networked scale, `host:port`; null runs the simulated one in the demo and none otherwise. */
  scale: string | null
}

/** All processes of one running Fleam, started in order and stopped in the opposite one. */
export class House {
  readonly #options: HouseOptions
  readonly #folder: string
  #database: PrivateDatabase | null = null
  #databaseUrl = ''
  #children = new Map<string, ChildProcess>()
  #isStopping = false
  /** A program said that starting it again would not help. */
  #hasGivenUp = false
  /** The data folder is ours: nobody else ran on it when we began. */
  #hasFolder = false

  constructor(options: HouseOptions) {
    this.#options = options
    this.#folder = resolve(options.dataFolder)
  }

  get databaseUrl(): string {
    return this.#databaseUrl
  }

  get url(): string {
    return `http://127.0.0.1:${this.#options.port}`
  }

  async start(): Promise<void> {
    this.#refuseSecond()
    // What a killed one left running is ended first: it holds the port and the data.
    await stopRunning(this.#folder)
    if (!(await isPortFree(this.#options.port))) {
      throw new Error(`Port ${this.#options.port} is in use. Choose another with FLEAM_PORT.`)
    }
    mkdirSync(this.#folder, { recursive: true })
    this.#hasFolder = true
    this.#write()
    await step('pages', buildPages)
    await step('programs', buildServer)
    if (this.#options.databaseUrl === null) await step('database', () => this.#startDatabase())
    else this.#databaseUrl = this.#options.databaseUrl
    const scale = await this.#startScale()
    const feed = await this.#startFeed()
    await step('server', () => this.#startServer(scale, feed))
    if (this.#options.isDemo) await step('demo kitchens', () => loadDemo(this.url, new Date()))
  }

  /** Stops everything, the database last, and waits until it is gone. */
  async stop(): Promise<void> {
    if (this.#isStopping) return
    this.#isStopping = true
    await Promise.all([...this.#children.values()].map((child) => stopProcess(child.pid as number, STOP_MS)))
    await this.#database?.stop()
    if (this.#hasFolder) rmSync(stateFile(this.#folder), { force: true })
  }

  async #startDatabase(): Promise<void> {
    this.#database = await startPrivateDatabase(join(this.#folder, 'database'))
    this.#databaseUrl = this.#database.url
    this.#write()
    this.#database.process.once('exit', () => {
      if (!this.#isStopping) setTimeout(() => void this.#restartDatabase(), RESTART_MS)
    })
  }

  async #restartDatabase(): Promise<void> {
    if (this.#isStopping) return
    process.stdout.write('  The database ended by itself; it is started again.\n')
    const before = this.#databaseUrl
    await this.#startDatabase().catch((error: Error) => process.stderr.write(`${error.message}\n`))
    if (this.#databaseUrl !== before) process.stderr.write('  It came back on another port: start Fleam again.\n')
  }

  async #startScale(): Promise<string | null> {
    if (this.#options.scale !== null || !this.#options.isDemo) return this.#options.scale
    const port = await findFreePort()
    await step('simulated scale', () =>
      this.#keepRunning('scale', builtProgram('scale-main'), {
        FLEAM_SCALE_PORT: String(port),
        FLEAM_SCALE_QUICK: this.#options.isScaleQuick ? 'yes' : 'no',
      }),
    )
    return `127.0.0.1:${port}`
  }

  /** The price feed of the demo; null where there is none. */
  async #startFeed(): Promise<string | null> {
    if (!this.#options.isDemo) return null
    const port = await findFreePort()
    await step('simulated price feed', () =>
      this.#keepRunning('price feed', builtProgram('feed-main'), { FLEAM_FEED_PORT: String(port) }),
    )
    return `http://127.0.0.1:${port}`
  }

  async #startServer(scale: string | null, feed: string | null): Promise<void> {
    this.#keepRunning('server', builtProgram('server'), {
      FLEAM_PORT: String(this.#options.port),
      FLEAM_DATABASE_URL: this.#databaseUrl,
      FLEAM_PAGES: resolve('web/dist'),
      FLEAM_BACKUPS: join(this.#folder, 'backups'),
      ...(scale === null ? {} : { FLEAM_SCALE: scale }),
      ...(feed === null ? {} : { FLEAM_PRICE_FEED: feed }),
    })
    await until(() => this.#isHealthy(), { timeoutMs: READY_MS, everyMs: 20, giveUp: () => this.#hasGivenUp }).catch(
      (error: Error) => {
        if (this.#hasGivenUp) throw new Error('The server cannot work with this database, see above.')
        throw error
      },
    )
  }

  /** A program that ends by itself is started again: what was committed is safe, and the kitchen goes on. */
  #keepRunning(name: string, file: string, environment: Record<string, string>): void {
    const child = runProgram(file, environment)
    this.#children.set(name, child)
    this.#write()
    child.once('exit', (code) => {
      if (this.#isStopping) return
      if (code === CANNOT_GO_ON) {
        this.#hasGivenUp = true
        return
      }
      process.stdout.write(`  The ${name} ended by itself; it is started again.\n`)
      setTimeout(() => !this.#isStopping && this.#keepRunning(name, file, environment), RESTART_MS)
    })
  }

  async #isHealthy(): Promise<boolean> {
    return fetch(`${this.url}/api/health`).then(
      (response) => response.ok,
      () => false,
    )
  }

  #refuseSecond(): void {
    const running = readState(this.#folder)
    if (running && isAlive(running.supervisor) && running.supervisor !== process.pid) {
      throw new Error(`Fleam runs already on this data folder (process ${running.supervisor}). './fleam stop' ends it.`)
    }
  }

  #write(): void {
    const pids = [...this.#children.values(), this.#database?.process].flatMap((child) => child?.pid ?? [])
    writeFileSync(stateFile(this.#folder), JSON.stringify({ supervisor: process.pid, children: pids }))
  }
}

interface RunningState {
  supervisor: number
  children: number[]
}

const stateFile = (folder: string) => join(folder, 'running.json')

function readState(folder: string): RunningState | null {
  const file = stateFile(folder)
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as RunningState) : null
}

const OUR_PROGRAMS = /tools\/main\.ts|server\/dist\/(?:server|scale-main|feed-main)\.mjs|mariadbd/

/** True where a process is one that we start: a number may have gone to another program meanwhile. */
function isOurProgram(pid: number): boolean {
  try {
    return OUR_PROGRAMS.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'))
  } catch {
    return false
  }
}

/** Stops the Fleam that runs on a data folder, and what a killed one left behind. Returns whether there was one. */
export async function stopRunning(dataFolder: string): Promise<boolean> {
  const folder = resolve(dataFolder)
  const running = readState(folder)
  if (!running) return false
  if (isOurProgram(running.supervisor)) await stopProcess(running.supervisor, STOP_MS * 3)
  for (const pid of running.children.filter(isOurProgram)) await stopProcess(pid, STOP_MS)
  rmSync(stateFile(folder), { force: true })
  return true
}
