/** What a worker of one long job at a time tells: whatever it tells on the way, and at last that it is done or failed. */
export type JobTold = { type: 'done' } | { type: 'failed'; message: string }

/**
 * Workers that each do one long job at a time. A worker in the middle of its work cannot hear that nobody waits for it:
 * it is ended, and the next job gets a new one; one that is done is kept for the next, with what it has loaded.
 */
export class JobWorkers<Asked, Told extends { type: string }> {
  readonly #start: () => Worker
  #idle: Worker | null = null

  constructor(start: () => Worker) {
    this.#start = start
  }

  /** Starts one before it is needed. */
  warm(): void {
    this.#idle ??= this.#start()
  }

  /** Does a job and tells what comes of it; answers what breaks it off. */
  run(asked: Asked, hear: (told: Told | JobTold) => void): () => void {
    const worker = this.#idle ?? this.#start()
    this.#idle = null
    let isOver = false
    const end = (isDone: boolean) => {
      isOver = true
      worker.onmessage = null
      worker.onerror = null
      if (isDone && this.#idle === null) this.#idle = worker
      else worker.terminate()
    }
    worker.onmessage = ({ data }: MessageEvent<Told | JobTold>) => {
      if (data.type === 'done' || data.type === 'failed') end(data.type === 'done')
      hear(data)
    }
    worker.onerror = ({ message }) => {
      end(false)
      hear({ type: 'failed', message: message || 'It could not be worked out.' })
    }
    worker.postMessage(asked)
    return () => {
      if (!isOver) end(false)
    }
  }
}
