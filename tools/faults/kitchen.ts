import { type ChildProcess, spawn } from 'node:child_process'
import { join, resolve } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { addressOf } from '@fleam/contract/client'
import { healthOperations } from '@fleam/contract/health/operations'
import { runningOn, stopRunning } from '../running.ts'

/** Fleam as a kitchen runs it, with its supervisor as a process of its own. */
export class Kitchen {
  readonly #folder: string
  readonly #port: number
  #supervisor: ChildProcess | null = null

  constructor(folder: string, port: number) {
    this.#folder = folder
    this.#port = port
  }

  get url(): string {
    return `http://127.0.0.1:${this.#port}`
  }

  start(): void {
    this.#supervisor = spawn(resolve('fleam'), ['start'], {
      env: { ...process.env, FLEAM_PORT: String(this.#port), FLEAM_DATA_DIR: this.#folder },
      stdio: 'ignore',
    })
  }

  /** Whether it answers and its schema is up to date. */
  isReady(): Promise<boolean> {
    return fetch(`${this.url}${addressOf(healthOperations.readHealth, {})}`).then(
      (answer) => answer.ok,
      () => false,
    )
  }

  /** Ends also what is only starting, which would go on when the rest has stopped. */
  async stop(): Promise<void> {
    if (this.#supervisor?.pid) end(this.#supervisor.pid)
    await stopRunning(this.#folder)
  }

  kill(...names: string[]): void {
    for (const { name, pid } of runningOn(this.#folder).programs) if (names.includes(name)) end(pid)
  }

  /** Everything at once, the supervisor first, as when the machine's power goes; nobody starts it again. */
  killAll(): void {
    if (this.#supervisor?.pid) end(this.#supervisor.pid)
    const { supervisor, programs } = runningOn(this.#folder)
    if (supervisor !== null) end(supervisor)
    for (const { pid } of programs) end(pid)
  }

  /** The supervisor goes, as with the session that it was started in; whoever runs the kitchen starts it again. */
  async killSupervisor(): Promise<void> {
    const { supervisor } = runningOn(this.#folder)
    if (supervisor !== null) end(supervisor)
    if (this.#supervisor?.pid) end(this.#supervisor.pid)
    await sleep(50)
    this.start()
  }

  spoil(change: (file: string) => void): void {
    for (const file of [join(this.#folder, 'running.json'), join(this.#folder, 'database', 'secret.json')]) change(file)
  }
}

function end(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL')
  } catch {
    // It has ended by itself meanwhile.
  }
}
