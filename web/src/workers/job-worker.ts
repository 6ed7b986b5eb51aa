import { expose, proxy, wrap } from 'comlink'

/** What a worker of one long job at a time sends: messages of the job on the way, and at last that it is done or failed. */
export type JobEnd = { type: 'done' } | { type: 'failed'; message: string }

/** One long job in a worker: `send` gets what comes of it, in order. */
type RunJob<Request, Message> = (request: Request, send: (message: Message) => void) => Promise<void>

interface Job<Request, Message> {
  run: RunJob<Request, Message>
}

/** Serves a job from inside a worker. The job ends when the page has got everything that came of it. */
export function serveJob<Request, Message>(run: RunJob<Request, Message>): void {
  const job: Job<Request, Message> = {
    run: async (request, send) => {
      const arrived: unknown[] = []
      await run(request, (message) => arrived.push(send(message)))
      await Promise.all(arrived)
    },
  }
  expose(job)
}

/** A worker with the job that it serves. */
interface Running<Request, Message> extends Job<Request, Message> {
  worker: Worker
}

/**
 * Workers that each do one long job at a time. A worker in the middle of its work cannot hear that nobody waits for it:
 * it is ended, and the next job gets a new one; one that is done is kept for the next, with what it has loaded.
 */
export class JobWorkers<Request, Message extends { type: string }> {
  readonly #startWorker: () => Worker
  #idle: Running<Request, Message> | null = null

  constructor(startWorker: () => Worker) {
    this.#startWorker = startWorker
  }

  /** Starts one before it is needed. */
  warm(): void {
    this.#idle ??= this.#start()
  }

  #start(): Running<Request, Message> {
    const worker = this.#startWorker()
    const job = wrap<Job<Request, Message>>(worker)
    // Its types cannot follow a type parameter.
    return { worker, run: job.run as unknown as RunJob<Request, Message> }
  }

  /** Does a job; `onMessage` gets what comes of it. Returns what breaks it off. */
  run(request: Request, onMessage: (message: Message | JobEnd) => void): () => void {
    const running = this.#idle ?? this.#start()
    const { worker } = running
    this.#idle = null
    let isOver = false
    const end = (isDone: boolean) => {
      isOver = true
      worker.onerror = null
      if (isDone && this.#idle === null) this.#idle = running
      else worker.terminate()
    }
    const fail = (message: string) => {
      if (isOver) return
      end(false)
      onMessage({ type: 'failed', message: message || 'It could not be worked out.' })
    }
    // A worker that cannot even be loaded answers nothing.
    worker.onerror = ({ message }) => fail(message)
    const send = proxy((message: Message) => {
      if (!isOver) onMessage(message)
    })
    running.run(request, send).then(
      () => {
        if (isOver) return
        end(true)
        onMessage({ type: 'done' })
      },
      (error: Error) => fail(error.message),
    )
    return () => {
      if (!isOver) end(false)
    }
  }
}
