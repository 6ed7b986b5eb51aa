import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import type { Work, WorkName } from '@fleam/contract'
import { Refusal } from '../http/problems.ts'
import type { WorkAnswered } from './work.ts'

const MOST_SECONDS = 30
const PROGRAM = fileURLToPath(new URL('./compute-process.ts', import.meta.url))

interface Asker {
  resolve: (answer: unknown) => void
  reject: (error: Error) => void
}

/** Works things out in a process beside the server, one after the other, so that no weighing waits for them. */
export class Compute {
  #process: ChildProcess | null = null
  #lastId = 0
  readonly #askers = new Map<number, Asker>()

  /** The answer to a wish; refused where working it out fails or takes too long. */
  async do<N extends WorkName>(name: N, wish: Work[N]['wish']): Promise<Work[N]['answer']> {
    const id = ++this.#lastId
    const beside = this.#start()
    const answer = new Promise<unknown>((resolve, reject) => this.#askers.set(id, { resolve, reject }))
    const timer = setTimeout(() => this.#giveUp(), MOST_SECONDS * 1000)
    beside.send({ id, name, wish })
    try {
      return (await answer) as Work[N]['answer']
    } finally {
      clearTimeout(timer)
      this.#askers.delete(id)
    }
  }

  close(): void {
    this.#process?.kill()
    this.#process = null
  }

  /** The process, started at the first wish: it must not keep the server from ending. */
  #start(): ChildProcess {
    if (this.#process) return this.#process
    const started = fork(PROGRAM, { execArgv: ['--import', 'tsx'], stdio: ['ignore', 'inherit', 'inherit', 'ipc'] })
    started.on('message', (answered: WorkAnswered) => {
      const asker = this.#askers.get(answered.id)
      if ('answer' in answered) asker?.resolve(answered.answer)
      else asker?.reject(new Refusal('invalid-input', answered.failure))
    })
    started.on('exit', () => {
      if (this.#process === started) this.#fail(new Error('What works things out beside the server has ended'))
    })
    started.unref()
    started.channel?.unref()
    this.#process = started
    return started
  }

  /** What takes too long takes its process with it; the next wish starts another. */
  #giveUp(): void {
    const slow = this.#process
    this.#fail(new Refusal('invalid-input', `This takes longer than ${MOST_SECONDS} seconds; ask for less at once.`))
    slow?.kill()
  }

  #fail(error: Error): void {
    this.#process = null
    for (const { reject } of this.#askers.values()) reject(error)
  }
}
