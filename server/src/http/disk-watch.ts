import type { FastifyInstance } from 'fastify'

/** Remembers whether the disk was full when something was last to be stored. */
export class DiskWatch {
  #isFull = false

  get state(): 'room' | 'full' {
    return this.#isFull ? 'full' : 'room'
  }

  sawNoRoom(): void {
    this.#isFull = true
  }

  /** There is room again as soon as a kitchen's change was stored. */
  watch(app: FastifyInstance): void {
    app.addHook('onResponse', async ({ method, url }, { statusCode }) => {
      if (method !== 'GET' && statusCode < 300 && url.startsWith('/api/kitchens')) this.#isFull = false
    })
  }
}
