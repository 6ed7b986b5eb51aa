const CONFLICT = 409

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

  /**
   * Creates something under its own id and answers with it. What is there under the id already is left as it is, also
   * where a day has passed or somebody has changed it since a load was broken off.
   */
  async create<T>(path: string, body: { id: string; [field: string]: unknown }): Promise<T> {
    const created = await this.send<T | { code?: string }>('POST', path, body, [CONFLICT])
    if ((created as { code?: string })?.code !== 'id-taken') return created as T
    const known = await this.get<T>(`${path}/${body.id}`)
    if (known === null) throw new Error(`The demo could not be loaded at ${path}: ${JSON.stringify(created)}`)
    return known
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
