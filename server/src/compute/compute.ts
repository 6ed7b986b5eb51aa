import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import { Refusal } from '../http/index.ts'
import type { WorkResult } from './compute-worker.ts'
import type { ServerWork, ServerWorkName } from './work.ts'

const MAX_SECONDS = 30
const MILLISECONDS = 1000
/** What one thread may take: beyond it the thread ends, and not the server. */
const MAX_MEGABYTES = 512
/** A thread that nothing has asked for a while is let go. */
const IDLE_MS = 60_000

/** Threads of one kind of work. */
type Pool = Pick<Piscina, 'run' | 'destroy'>

/** The field by which an input grows. */
const FIELD: Readonly<Record<ServerWorkName, string>> = {
  'portion-plan': 'products',
  'bonded-plan': 'products',
  'rack-plan': 'racks',
  plating: 'pieces',
  'order-plan': 'products',
  schedule: 'tasks',
  'read-document': 'piles',
  'read-price-list': 'csv',
  appraise: 'piles',
}
const refusal = (name: ServerWorkName, detail: string) =>
  new Refusal('invalid-input', detail, { issues: [{ path: FIELD[name], message: detail }] })

/** The built worker: beside the built server, or for a server that runs from its sources, as in tests, where it is built to. */
function workerProgram(): string {
  const [beside, built] = ['./compute-worker.mjs', '../../dist/compute-worker.mjs'].map((path) =>
    fileURLToPath(new URL(path, import.meta.url)),
  ) as [string, string]
  return existsSync(beside) ? beside : built
}

/**
 * Works things out in threads beside the server, as many as cores less one, so that no weighing waits for them. Each
 * kind of work has threads of its own: what takes long of one kind delays no other. A request that nobody waits for
 * any more, or that takes too long, ends with its thread.
 */
export class Compute {
  readonly #openPool: (threads: number) => Pool
  readonly #threads = Math.max(1, availableParallelism() - 1)
  readonly #pools = new Map<ServerWorkName, Pool>()

  /** `openPool` opens the threads of one kind of work. */
  constructor(openPool: (threads: number) => Pool = openThreads) {
    this.#openPool = openPool
  }

  /**
   * The answer to an input. Throws a `Refusal` where it takes too long, and where working it out fails; `signal` says
   * that whoever asked has gone away.
   */
  async do<N extends ServerWorkName>(
    name: N,
    input: ServerWork[N]['input'],
    signal?: AbortSignal,
  ): Promise<ServerWork[N]['answer']> {
    const late = AbortSignal.timeout(MAX_SECONDS * MILLISECONDS)
    const ends = signal ? AbortSignal.any([signal, late]) : late
    const once = async (): Promise<WorkResult> => this.#pool(name).run({ name, input }, { signal: ends })
    let result: WorkResult
    try {
      // A thread that died, of memory mostly, is replaced by the pool; the input gets one more.
      result = await once().catch((error: unknown) => {
        if (ends.aborted) throw error
        return once()
      })
    } catch {
      if (late.aborted) {
        throw refusal(name, `This takes longer than ${MAX_SECONDS} seconds; ask for less at once.`)
      }
      if (signal?.aborted) throw new Refusal('cancelled', 'Nobody waits for it any more.')
      throw refusal(name, 'This is too much to be worked out; ask for less at once.')
    }
    if ('failed' in result) throw refusal(name, result.failed)
    return result.answer as ServerWork[N]['answer']
  }

  async close(): Promise<void> {
    const pools = [...this.#pools.values()]
    this.#pools.clear()
    await Promise.all(pools.map((pool) => pool.destroy()))
  }

  #pool(name: ServerWorkName): Pool {
    const existing = this.#pools.get(name)
    if (existing) return existing
    const pool = this.#openPool(this.#threads)
    this.#pools.set(name, pool)
    return pool
  }
}

function openThreads(threads: number): Pool {
  return new Piscina({
    filename: workerProgram(),
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    concurrentTasksPerWorker: 1,
    resourceLimits: { maxOldGenerationSizeMb: MAX_MEGABYTES },
  })
}
