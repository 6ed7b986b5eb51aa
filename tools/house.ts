import type { ChildProcess } from 'node:child_process'
import { join, resolve } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { addressOf } from '@fleam/contract/client'
import { healthOperations } from '@fleam/contract/health/operations'
import { buildServer, builtProgram } from './build-server.ts'
import { prepareDataFolder } from './data-folder.ts'
import { requireGivenDatabase } from './given-database.ts'
import { buildPages } from './pages.ts'
import { findFreePort, isPortFree } from './ports.ts'
import { type PrivateDatabase, startPrivateDatabase } from './private-database.ts'
import { pauseAfter, runProgram, step, stopProcess, until } from './processes.ts'
import { forgetSupervisor, houseArgument, runningOn, stopRunning, writeSupervisor } from './running.ts'

const READY_MS = 60_000
const STOP_MS = 15_000
/** A program that ran for so long was well: what ends it then is a new failure. */
const WELL_MS = 30_000
/** How a program of ours ends that would end the same way again. */
const CANNOT_GO_ON = 78
export const DEFAULT_PORT = 4173
const LOOPBACK = '127.0.0.1'

export interface HouseOptions {
  port: number
  /** The address it listens on; loopback where it is not said, `0.0.0.0` for all. */
  host?: string
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

  /** Where it answers on this machine. */
  get url(): string {
    const { host = LOOPBACK, port } = this.#options
    const reached = host === '0.0.0.0' || host === '::' ? LOOPBACK : host
    return `http://${reached.includes(':') ? `[${reached}]` : reached}:${port}`
  }

  async start(): Promise<void> {
    const { databaseUrl } = this.#options
    prepareDataFolder(this.#folder, { hasPrivateDatabase: databaseUrl === null })
    this.#refuseSecond()
    // What a killed one left running is ended first: it holds the port and the data.
    await stopRunning(this.#folder)
    if (!(await isPortFree(this.#options.port))) {
      throw new Error(`Port ${this.#options.port} is in use. Choose another with FLEAM_PORT.`)
    }
    this.#hasFolder = true
    writeSupervisor(this.#folder, process.pid)
    // Before anything is built: a folder or an address that cannot be used is told at once.
    await step('database', () => (databaseUrl === null ? this.#startDatabase() : this.#useDatabase(databaseUrl)))
    await step('pages', buildPages)
    await step('programs', buildServer)
    const scale = await this.#startScale()
    const feed = await this.#startFeed()
    await step('server', () => this.#startServer(scale, feed))
    if (this.#options.isDemo) await step('demo kitchens', () => this.#loadDemo())
  }

  /** Stops everything, the database last, and waits until it is gone. */
  async stop(): Promise<void> {
    if (this.#isStopping) return
    this.#isStopping = true
    await Promise.all([...this.#children.values()].map((child) => stopProcess(child.pid as number, STOP_MS)))
    await this.#database?.stop()
    if (this.#hasFolder) forgetSupervisor(this.#folder)
  }

  async #useDatabase(url: string): Promise<void> {
    await requireGivenDatabase(url)
    this.#databaseUrl = url
  }

  async #startDatabase(): Promise<void> {
    const database = await startPrivateDatabase(join(this.#folder, 'database'))
    this.#database = database
    this.#databaseUrl = database.url
    const endedBy = () => !this.#isStopping && void this.#restartDatabase()
    // It may have ended while it was being waited for.
    if (database.process.exitCode !== null || database.process.signalCode !== null) endedBy()
    else database.process.once('exit', endedBy)
  }

  /** Tries for as long as it takes, with growing pauses; the server is started anew where the address is another. */
  async #restartDatabase(): Promise<void> {
    const before = this.#databaseUrl
    for (let failures = 0; !this.#isStopping; failures++) {
      process.stdout.write('  The database ended by itself; it is started again.\n')
      await sleep(pauseAfter(failures))
      if (this.#isStopping) return
      try {
        await this.#startDatabase()
        break
      } catch (error) {
        process.stderr.write(`  ${(error as Error).message}\n`)
      }
    }
    const server = this.#children.get('server')
    if (this.#databaseUrl !== before && server?.pid !== undefined) await stopProcess(server.pid, STOP_MS)
  }

  async #startScale(): Promise<string | null> {
    if (this.#options.scale !== null || !this.#options.isDemo) return this.#options.scale
    const port = await findFreePort()
    await step('simulated scale', () =>
      this.#keepRunning('scale', builtProgram('scale-main'), () => ({
        FLEAM_SCALE_PORT: String(port),
        FLEAM_SCALE_QUICK: this.#options.isScaleQuick ? 'yes' : 'no',
      })),
    )
    return `127.0.0.1:${port}`
  }

  /** The price feed of the demo; null where there is none. */
  async #startFeed(): Promise<string | null> {
    if (!this.#options.isDemo) return null
    const port = await findFreePort()
    await step('simulated price feed', () =>
      this.#keepRunning('price feed', builtProgram('feed-main'), () => ({ FLEAM_FEED_PORT: String(port) })),
    )
    return `http://127.0.0.1:${port}`
  }

  async #startServer(scale: string | null, feed: string | null): Promise<void> {
    // Asked for at every start: the database may have come back at another address.
    this.#keepRunning('server', builtProgram('server'), () => ({
      FLEAM_PORT: String(this.#options.port),
      FLEAM_HOST: this.#options.host ?? LOOPBACK,
      FLEAM_DATABASE_URL: this.#databaseUrl,
      FLEAM_PAGES: resolve('web/dist'),
      FLEAM_BACKUPS: join(this.#folder, 'backups'),
      // Whose room decides whether anything can be stored: of a database elsewhere only its own errors tell.
      ...(this.#options.databaseUrl === null ? { FLEAM_DISK: this.#folder } : {}),
      ...(scale === null ? {} : { FLEAM_SCALE: scale }),
      ...(feed === null ? {} : { FLEAM_PRICE_FEED: feed }),
    }))
    await until(() => this.#isHealthy(), { timeoutMs: READY_MS, everyMs: 20, giveUp: () => this.#hasGivenUp }).catch(
      (error: Error) => {
        if (this.#hasGivenUp) throw new Error('The server cannot work with this database, see above.')
        throw error
      },
    )
  }

  /** A program that ends by itself is started again, with growing pauses: what was committed is safe, and the kitchen goes on. */
  #keepRunning(name: string, file: string, environment: () => Record<string, string>, failures = 0): void {
    const startedAt = performance.now()
    const child = runProgram(file, environment(), [houseArgument(this.#folder)])
    this.#children.set(name, child)
    child.once('exit', async (code) => {
      if (this.#isStopping) return
      if (code === CANNOT_GO_ON) {
        this.#hasGivenUp = true
        return
      }
      const before = performance.now() - startedAt > WELL_MS ? 0 : failures
      process.stdout.write(`  The ${name} ended by itself; it is started again.\n`)
      await sleep(pauseAfter(before))
      if (!this.#isStopping) this.#keepRunning(name, file, environment, before + 1)
    })
  }

  async #isHealthy(): Promise<boolean> {
    return fetch(`${this.url}${addressOf(healthOperations.readHealth, {})}`).then(
      (response) => response.ok,
      () => false,
    )
  }

  async #loadDemo(): Promise<void> {
    // Real use has no demo, and its start must not wait for it to be read.
    const { loadDemo } = await import('@fleam/demo')
    await loadDemo(this.url, new Date())
  }

  #refuseSecond(): void {
    const { supervisor } = runningOn(this.#folder)
    if (supervisor !== null && supervisor !== process.pid) {
      throw new Error(`Fleam runs already on this data folder (process ${supervisor}). './fleam stop' ends it.`)
    }
  }
}
