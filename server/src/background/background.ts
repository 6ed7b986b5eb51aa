import { Readable } from 'node:stream'
import { MessageChannel, type MessagePort } from 'node:worker_threads'
import { Semaphore } from 'async-mutex'
import { Piscina } from 'piscina'
import { Refusal } from '../http/index.ts'

/** Threads that answer: what takes long in one holds up no more than half of the others. */
const THREADS = 2
/** Requests of one kitchen that are worked on at once, and that wait for it: beyond that it is refused for the moment. */
const AT_ONCE = 2
const MAX_WAITING = 40
/** What one thread may take: beyond it the thread ends, and not the server. */
const MAX_MEGABYTES = 768

/** A request as it is handed to a thread. */
export interface HandedRequest {
  method: string
  url: string
  headers: Record<string, string>
  body: Uint8Array | null
}

export interface HandedAnswer {
  status: number
  headers: Record<string, string | string[]>
  body: Readable
}

/** What a thread tells of its answer, one after the other. */
export type AnswerPart = { head: Omit<HandedAnswer, 'body'> } | { chunk: Uint8Array } | { end: true }

/** What a thread is given: a request, and the port on which it answers and hears that nobody waits any more. */
export interface HandedTask {
  request: HandedRequest
  port: MessagePort
}

export interface BackgroundOptions {
  /** The file of the built thread. */
  program: string
  databaseUrl: string
  /** A folder on the database's disk; null where that is no disk of this machine. */
  disk: string | null
}

interface Turns {
  semaphore: Semaphore
  waiting: number
}

/**
 * Answers requests in threads beside the server's, each of which is the same server without a door of its own. Of each
 * kitchen a few are worked on at once; the others wait their turn, and too many are refused for the moment.
 */
export class Background {
  readonly #options: BackgroundOptions
  #pool: Piscina | null = null
  readonly #turns = new Map<string, Turns>()

  constructor(options: BackgroundOptions) {
    this.#options = options
  }

  /**
   * Opens the threads, so that nobody who asks waits for one to start: that takes as long as a hundred answers. The
   * server's own start comes before.
   */
  open(): Piscina {
    const { program, ...workerData } = this.#options
    this.#pool ??= new Piscina({
      filename: program,
      minThreads: THREADS,
      maxThreads: THREADS,
      concurrentTasksPerWorker: AT_ONCE,
      // A thread that waits for work by standing still would hold the locks of a request whose asker has left: what
      // that began is undone after its answer has broken off.
      atomics: 'disabled',
      resourceLimits: { maxOldGenerationSizeMb: MAX_MEGABYTES },
      workerData,
    })
    return this.#pool
  }

  /** The answer of a thread, told as it comes. `gone` says that nobody waits for it any more. */
  async answer(kitchenId: string, request: HandedRequest, gone: AbortSignal): Promise<HandedAnswer> {
    const turns = this.#turnsOf(kitchenId)
    if (turns.waiting >= MAX_WAITING) {
      throw new Refusal('busy', 'This kitchen asks for much at once: try again in a moment.')
    }
    turns.waiting++
    // Who leaves makes room for others at once, and not when its turn comes.
    let isWaiting = true
    const leave = () => {
      if (isWaiting) turns.waiting--
      isWaiting = false
    }
    gone.addEventListener('abort', leave, { once: true })
    const [, free] = await turns.semaphore.acquire()
    leave()
    const release = () => {
      free()
      if (turns.waiting === 0 && turns.semaphore.getValue() === AT_ONCE) this.#turns.delete(kitchenId)
    }
    if (gone.aborted) {
      release()
      throw new Refusal('cancelled', 'Nobody waits for it any more.')
    }
    try {
      return await this.#hand(request, gone, release)
    } catch (error) {
      release()
      throw error
    }
  }

  async close(): Promise<void> {
    await this.#pool?.destroy()
  }

  #turnsOf(kitchenId: string): Turns {
    const waiting = this.#turns.get(kitchenId)
    if (waiting) return waiting
    const turns = { semaphore: new Semaphore(AT_ONCE), waiting: 0 }
    this.#turns.set(kitchenId, turns)
    return turns
  }

  #hand(request: HandedRequest, gone: AbortSignal, release: () => void): Promise<HandedAnswer> {
    const { port1: ours, port2: theirs } = new MessageChannel()
    const body = new Readable({ read() {} })
    // Whoever reads it hears of its end; where nobody does any more, nobody has to.
    body.on('error', () => {})
    const end = () => {
      ours.close()
      release()
    }
    const answered = new Promise<HandedAnswer>((resolve, reject) => {
      ours.on('message', (part: AnswerPart) => {
        if ('head' in part) resolve({ ...part.head, body })
        else if ('chunk' in part) body.push(part.chunk)
        else {
          body.push(null)
          end()
        }
      })
      const task: HandedTask = { request, port: theirs }
      this.open()
        .run(task, { transferList: [theirs] })
        .catch(() => {
          // The thread ended, of memory mostly; the pool has another one.
          const refusal = new Refusal('busy', 'This was too much at once: ask for less.')
          reject(refusal)
          body.destroy(refusal)
          end()
        })
    })
    gone.addEventListener('abort', () => ours.postMessage('gone'), { once: true })
    return answered
  }
}
