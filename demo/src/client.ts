/** Talks to a running Fleam as any client would. */
export class Client {
  readonly #base: string

  constructor(base: string) {
    this.#base = base
  }

  async get<T>(path: string): Promise<T | null> {
    const response = await fetch(`${this.#base}${path}`)
    if (response.status === 404) return null
    if (!response.ok) throw new Error(`The demo could not read ${path}: ${await response.text()}`)
    return (await response.json()) as T
  }

  /** Sends JSON; statuses in `mayBe` are fine too. */
  async send<T>(method: 'POST' | 'PUT', path: string, body: unknown, mayBe: readonly number[] = []): Promise<T> {
    const response = await fetch(`${this.#base}${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!response.ok && !mayBe.includes(response.status)) {
      throw new Error(`The demo could not be loaded at ${path}: ${await response.text()}`)
    }
    // An import tells its progress line by line; what came of it stands in the last one.
    const lines = (await response.text()).trim().split('\n')
    const last = JSON.parse(lines.at(-1) as string)
    if (last?.problem) throw new Error(`The demo could not be loaded at ${path}: ${JSON.stringify(last.problem)}`)
    return last as T
  }
}
